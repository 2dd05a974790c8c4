package app.jerboa.core.job.mount;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class MountCodes {
    public static final FindingCode LOAD = new FindingCode("MOUNT-LOAD", STOP, Discipline.MOUNT);
    public static final FindingCode BALANCE =
            new FindingCode("MOUNT-BALANCE", WARN, Discipline.MOUNT);
    public static final FindingCode BOND = new FindingCode("MOUNT-BOND", STOP, Discipline.MOUNT);
    public static final FindingCode INVERTED =
            new FindingCode("MOUNT-INVERTED", NOTE, Discipline.MOUNT);
    public static final FindingCode WRAP = new FindingCode("MOUNT-WRAP", WARN, Discipline.MOUNT);

    /** Nobody noted where these hang or stand. */
    public static final FindingCode PLACE = new FindingCode("MOUNT-PLACE", NOTE, Discipline.MOUNT);

    /** A gimbal whose switch and follow mode nobody noted. */
    public static final FindingCode GIMBAL =
            new FindingCode("MOUNT-GIMBAL", NOTE, Discipline.MOUNT);

    public static final List<FindingCode> ALL =
            List.of(LOAD, BALANCE, BOND, INVERTED, WRAP, PLACE, GIMBAL);

    private MountCodes() {}
}
