package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What an observation is about. */
public enum Topic {
    LINK(Basis.LEAD, true),
    ADDRESS(Basis.NETWORK, true),
    KEY(Basis.KEY, true),
    MOVES(Basis.MOTION, true),
    DIRECTION(Basis.MOTION, true),
    ZOOM(Basis.MOTION, true),
    FOCUS(Basis.MOTION, true),
    STOP(Basis.MOTION, true),
    PRESET(Basis.MOTION, true),
    IRIS(Basis.PICTURE, true),
    WHITE_BALANCE(Basis.PICTURE, true),
    TALLY(Basis.TALLY, true),
    INPUT(Basis.INPUT, true),
    STREAM(Basis.STREAM, true),
    MAC(Basis.NETWORK, false),
    /** No second device answers at its address. */
    ALONE(Basis.NETWORK, false),
    /** Its web server shows the certificate that it showed first; it rests on no plan. */
    CERTIFICATE(Basis.NOTHING, false),
    FIRMWARE(Basis.NETWORK, false),
    CLOCK(Basis.NETWORK, false),
    ACCESS(Basis.NETWORK, false),
    /** It answers in the languages in which it is to be told things, by the way that is planned. */
    CONTROL(Basis.CONTROL, false),
    WATTS(Basis.LEAD, false),
    PORT(Basis.LEAD, false),
    CONTROL_ID(Basis.SERIAL, false),
    BAUD(Basis.SERIAL, false),
    GAIN(Basis.PICTURE, false),
    PAINT(Basis.PICTURE, false),
    FORMAT(Basis.INPUT, false),
    SOUND(Basis.INPUT, false),
    BALANCE(Basis.BALANCE, false),
    /** Something was done to the device or happened to it: see {@link Happening}. */
    HAPPENING(Basis.NOTHING, false);

    /** The tests of a line, in the order in which they are done. */
    public static final List<Topic> TESTS = Arrays.stream(values()).filter(t -> t.test).toList();

    private final Basis basis;
    private final boolean test;
    private final String wire = Kebab.of(this);

    Topic(Basis basis, boolean test) {
        this.basis = basis;
        this.test = test;
    }

    public Basis basis() {
        return basis;
    }

    /** A line is proved by it. */
    public boolean test() {
        return test;
    }

    public String wire() {
        return wire;
    }

    public static Optional<Topic> fromWire(String word) {
        return Arrays.stream(values()).filter(t -> t.wire.equals(word)).findFirst();
    }
}
