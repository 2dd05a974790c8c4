package app.jerboa.core.job.mount;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class MountCodes {
    public static final FindingCode LOAD = new FindingCode("MOUNT-LOAD", STOP);
    public static final FindingCode BALANCE = new FindingCode("MOUNT-BALANCE", WARN);
    public static final FindingCode BOND = new FindingCode("MOUNT-BOND", STOP);
    public static final FindingCode INVERTED = new FindingCode("MOUNT-INVERTED", NOTE);
    public static final FindingCode WRAP = new FindingCode("MOUNT-WRAP", WARN);

    /** Nobody noted where these hang or stand. */
    public static final FindingCode PLACE = new FindingCode("MOUNT-PLACE", NOTE);

    /** A gimbal whose switch and follow mode nobody noted. */
    public static final FindingCode GIMBAL = new FindingCode("MOUNT-GIMBAL", NOTE);

    public static final List<FindingCode> ALL =
            List.of(LOAD, BALANCE, BOND, INVERTED, WRAP, PLACE, GIMBAL);

    private MountCodes() {}
}
