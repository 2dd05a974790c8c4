package app.jerboa.core.job.line;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.Discipline;
import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks of lines: keys, IDs, inputs, control routes, lenses, sound. */
public final class LineCodes {
    public static final FindingCode ID_DUP = new FindingCode("ID-DUP", STOP, Discipline.NUMBERS);
    public static final FindingCode ID_RANGE =
            new FindingCode("ID-RANGE", STOP, Discipline.NUMBERS);
    public static final FindingCode DISAGREE =
            new FindingCode("ID-DISAGREE", WARN, Discipline.NUMBERS);

    /** Controller and camera are in different subnets, and nothing routes between them. */
    public static final FindingCode NO_WAY =
            new FindingCode("ADDR-SPLIT", STOP, Discipline.ADDRESSES);

    /** It is found by a search, which stops at the router between. */
    public static final FindingCode DISCOVERY =
            new FindingCode("ADDR-DISCOVERY", WARN, Discipline.ADDRESSES);

    public static final FindingCode KEY_DUP = new FindingCode("KEY-DUP", STOP, Discipline.NUMBERS);
    public static final FindingCode KEY_FULL =
            new FindingCode("KEY-FULL", STOP, Discipline.NUMBERS);

    /** Two pictures on one input of a switcher, or an input it does not have. */
    public static final FindingCode INPUT_TWICE =
            new FindingCode("PORT-TWICE", STOP, Discipline.CABLING);

    public static final FindingCode NO_PROTOCOL =
            new FindingCode("CTRL-NO-PROTOCOL", STOP, Discipline.CONTROL);
    public static final FindingCode PORT = new FindingCode("CTRL-PORT", WARN, Discipline.CONTROL);
    public static final FindingCode NO_NETWORK =
            new FindingCode("CTRL-NO-NETWORK", STOP, Discipline.CONTROL);
    public static final FindingCode REMOTE_OFF =
            new FindingCode("CTRL-REMOTE-OFF", NOTE, Discipline.CONTROL);
    public static final FindingCode CONFIG_PORT =
            new FindingCode("CTRL-CONFIG-PORT", STOP, Discipline.CONTROL);
    public static final FindingCode WIRELESS =
            new FindingCode("CTRL-WIRELESS", WARN, Discipline.CONTROL);
    public static final FindingCode FUNCTION =
            new FindingCode("CTRL-FUNCTION", WARN, Discipline.CONTROL);
    public static final FindingCode SPLIT = new FindingCode("CTRL-SPLIT", NOTE, Discipline.CONTROL);
    public static final FindingCode NO_SERVO =
            new FindingCode("LENS-NO-SERVO", STOP, Discipline.LENS);

    /** A camera whose lens comes off, and none is on the van for it. */
    public static final FindingCode NO_LENS = new FindingCode("LENS-NONE", WARN, Discipline.LENS);

    public static final FindingCode SWITCHES =
            new FindingCode("LENS-SWITCHES", NOTE, Discipline.LENS);
    public static final FindingCode AUDIO = new FindingCode("AUD-PATH", WARN, Discipline.AUDIO);
    public static final FindingCode POE_NONE = new FindingCode("POE-NONE", STOP, Discipline.POWER);
    public static final FindingCode RETURN = new FindingCode("VID-RETURN", WARN, Discipline.VIDEO);
    public static final FindingCode OUTPUTS =
            new FindingCode("VID-OUTPUTS", STOP, Discipline.VIDEO);

    public static final List<FindingCode> ALL =
            List.of(
                    ID_DUP,
                    ID_RANGE,
                    DISAGREE,
                    NO_WAY,
                    DISCOVERY,
                    KEY_DUP,
                    KEY_FULL,
                    INPUT_TWICE,
                    NO_PROTOCOL,
                    PORT,
                    NO_NETWORK,
                    REMOTE_OFF,
                    CONFIG_PORT,
                    WIRELESS,
                    FUNCTION,
                    SPLIT,
                    NO_SERVO,
                    NO_LENS,
                    SWITCHES,
                    AUDIO,
                    POE_NONE,
                    RETURN,
                    OUTPUTS);

    private LineCodes() {}
}
