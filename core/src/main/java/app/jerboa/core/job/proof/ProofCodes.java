package app.jerboa.core.job.proof;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Severity;
import java.util.List;

/** The codes of findings about what was found. */
public final class ProofCodes {
    public static final FindingCode DIFFERS =
            new FindingCode("EVID-DIFFERS", Severity.WARN, Discipline.EVIDENCE);
    public static final FindingCode STALE =
            new FindingCode("EVID-STALE", Severity.NOTE, Discipline.EVIDENCE);

    public static final FindingCode SECOND =
            new FindingCode("DEV-SECOND", Severity.STOP, Discipline.EVIDENCE);

    public static final FindingCode WIRE =
            new FindingCode("WIRE-DIFFERS", Severity.WARN, Discipline.EVIDENCE);
    public static final FindingCode STREAM =
            new FindingCode("STREAM-DIFFERS", Severity.WARN, Discipline.EVIDENCE);
    public static final FindingCode CERTIFICATE =
            new FindingCode("CERT-CHANGED", Severity.STOP, Discipline.EVIDENCE);

    public static final List<FindingCode> ALL =
            List.of(DIFFERS, STALE, SECOND, WIRE, STREAM, CERTIFICATE);

    private ProofCodes() {}
}
