package app.jerboa.core.job.secret;

import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class SecretCodes {
    public static final FindingCode DEFAULT_PASSWORD =
            new FindingCode("SEC-DEFAULT", WARN, Discipline.SECRETS);
    public static final FindingCode REUSED_PASSWORD =
            new FindingCode("SEC-REUSE", WARN, Discipline.SECRETS);
    public static final FindingCode EXPOSED =
            new FindingCode("SEC-EXPOSED", STOP, Discipline.SECRETS);

    public static final List<FindingCode> ALL = List.of(DEFAULT_PASSWORD, REUSED_PASSWORD, EXPOSED);

    private SecretCodes() {}
}
