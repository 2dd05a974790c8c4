package app.jerboa.core.job.kit;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks in this package. */
public final class KitCodes {
    public static final FindingCode MAC_DUP = new FindingCode("KIT-MAC-DUP", STOP, Discipline.KIT);
    public static final FindingCode SERIAL_DUP =
            new FindingCode("KIT-SERIAL-DUP", WARN, Discipline.KIT);
    public static final FindingCode NAME_DUP = new FindingCode("NAME-DUP", WARN, Discipline.NAMES);

    /** Cameras that are named by another habit than the house's. */
    public static final FindingCode NAME_HABIT =
            new FindingCode("NAME-HABIT", NOTE, Discipline.NAMES);

    /** A reservation in the pool goes by MAC, and none is noted. */
    public static final FindingCode NO_MAC =
            new FindingCode("ADDR-NO-MAC", WARN, Discipline.ADDRESSES);

    public static final FindingCode FIRMWARE =
            new FindingCode("CTRL-FIRMWARE", WARN, Discipline.CONTROL);
    public static final FindingCode FORMAT = new FindingCode("VID-FORMAT", STOP, Discipline.VIDEO);
    public static final FindingCode POE_BUDGET =
            new FindingCode("POE-BUDGET", STOP, Discipline.POWER);
    public static final FindingCode POE_HEADROOM =
            new FindingCode("POE-HEADROOM", WARN, Discipline.POWER);
    public static final FindingCode POE_DROP = new FindingCode("POE-DROP", STOP, Discipline.POWER);
    public static final FindingCode PREP_INTERNET =
            new FindingCode("PREP-INTERNET", WARN, Discipline.PREPARATION);

    /** To be packed, charged or loaded before the van leaves. */
    public static final FindingCode PREP_PACK =
            new FindingCode("PREP-PACK", WARN, Discipline.PREPARATION);

    /** Kit that somebody else had before. */
    public static final FindingCode PREP_RESET =
            new FindingCode("PREP-RESET", WARN, Discipline.PREPARATION);

    /** The house does it one way, and these devices cannot. */
    public static final FindingCode PRACTICE =
            new FindingCode("SITE-SCHOOL", NOTE, Discipline.HOUSE);

    public static final List<FindingCode> ALL =
            List.of(
                    MAC_DUP,
                    SERIAL_DUP,
                    NAME_DUP,
                    NAME_HABIT,
                    NO_MAC,
                    FIRMWARE,
                    FORMAT,
                    POE_BUDGET,
                    POE_HEADROOM,
                    POE_DROP,
                    PREP_INTERNET,
                    PREP_PACK,
                    PREP_RESET,
                    PRACTICE);

    private KitCodes() {}
}
