package app.jerboa.core.job.shot;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class ShotCodes {
    /** A move does not fit before its take. */
    public static final FindingCode LATE = new FindingCode("SHOT-LATE", WARN, Discipline.SHOTS);

    /** A take wants a view of which nobody knows where it points. */
    public static final FindingCode VIEW = new FindingCode("SHOT-VIEW", WARN, Discipline.SHOTS);

    /** Two views of a camera stand under one number. */
    public static final FindingCode TWICE = new FindingCode("PRESET-TWICE", WARN, Discipline.SHOTS);

    /** Views that live in one place only: nothing was read of them. */
    public static final FindingCode KEPT = new FindingCode("PRESET-KEPT", NOTE, Discipline.SHOTS);

    public static final List<FindingCode> ALL = List.of(LATE, VIEW, TWICE, KEPT);

    private ShotCodes() {}
}
