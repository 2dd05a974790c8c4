package app.jerboa.core.job.line;

import static app.jerboa.core.finding.Severity.NOTE;
import static app.jerboa.core.finding.Severity.STOP;
import static app.jerboa.core.finding.Severity.WARN;

import app.jerboa.core.finding.FindingCode;
import java.util.List;

/** The codes of the checks of lines: keys, IDs, inputs, control routes, lenses, sound. */
public final class LineCodes {
    public static final FindingCode ID_DUP = new FindingCode("ID-DUP", STOP);
    public static final FindingCode ID_RANGE = new FindingCode("ID-RANGE", STOP);
    public static final FindingCode DISAGREE = new FindingCode("ID-DISAGREE", WARN);

    /** Controller and camera are in different subnets, and nothing routes between them. */
    public static final FindingCode NO_WAY = new FindingCode("ADDR-SPLIT", STOP);

    /** It is found by a search, which stops at the router between. */
    public static final FindingCode DISCOVERY = new FindingCode("ADDR-DISCOVERY", WARN);

    public static final FindingCode KEY_DUP = new FindingCode("KEY-DUP", STOP);
    public static final FindingCode KEY_FULL = new FindingCode("KEY-FULL", STOP);

    /** Two pictures on one input of a switcher, or an input it does not have. */
    public static final FindingCode INPUT_TWICE = new FindingCode("PORT-TWICE", STOP);

    public static final FindingCode NO_PROTOCOL = new FindingCode("CTRL-NO-PROTOCOL", STOP);
    public static final FindingCode PORT = new FindingCode("CTRL-PORT", WARN);
    public static final FindingCode NO_NETWORK = new FindingCode("CTRL-NO-NETWORK", STOP);
    public static final FindingCode REMOTE_OFF = new FindingCode("CTRL-REMOTE-OFF", NOTE);
    public static final FindingCode CONFIG_PORT = new FindingCode("CTRL-CONFIG-PORT", STOP);
    public static final FindingCode WIRELESS = new FindingCode("CTRL-WIRELESS", WARN);
    public static final FindingCode FUNCTION = new FindingCode("CTRL-FUNCTION", WARN);
    public static final FindingCode SPLIT = new FindingCode("CTRL-SPLIT", NOTE);
    public static final FindingCode NO_SERVO = new FindingCode("LENS-NO-SERVO", STOP);

    /** A camera whose lens comes off, and none is on the van for it. */
    public static final FindingCode NO_LENS = new FindingCode("LENS-NONE", WARN);

    public static final FindingCode SWITCHES = new FindingCode("LENS-SWITCHES", NOTE);
    public static final FindingCode AUDIO = new FindingCode("AUD-PATH", WARN);
    public static final FindingCode POE_NONE = new FindingCode("POE-NONE", STOP);
    public static final FindingCode RETURN = new FindingCode("VID-RETURN", WARN);
    public static final FindingCode OUTPUTS = new FindingCode("VID-OUTPUTS", STOP);

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
