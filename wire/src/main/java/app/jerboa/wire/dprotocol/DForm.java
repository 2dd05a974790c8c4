package app.jerboa.wire.dprotocol;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.Optional;
import java.util.stream.IntStream;

/** The two forms on the wire: which bits mean what, and how a frame is closed. */
public enum DForm {
    /** {@code FF addr c1 c2 d1 d2 sum}; the sum of the middle five modulo 100h. */
    D(7, 0x80, 0x01, 0x02, 0x04),
    /** {@code A0 addr-1 c1 c2 d1 d2 AF xor}; over the first seven. */
    P(8, 0x0001 << 8, 0x02, 0x04, 0x08);

    private static final int RIGHT = 0x02;
    private static final int LEFT = 0x04;
    private static final int UP = 0x08;
    private static final int DOWN = 0x10;
    private static final int TELE = 0x20;
    private static final int WIDE = 0x40;
    private static final int START_D = 0xFF;
    private static final int START_P = 0xA0;
    private static final int END_P = 0xAF;
    private static final int MOST_ADDRESS = 255;

    private final int size;
    private final int far;
    private final int near;
    private final int open;
    private final int close;

    /**
     * @param far the bit of c2, or of c1 in the high octet
     * @param near as the rest, a bit of c1
     */
    DForm(int size, int far, int near, int open, int close) {
        this.size = size;
        this.far = far;
        this.near = near;
        this.open = open;
        this.close = close;
    }

    /** Octets of a frame. */
    public int size() {
        return size;
    }

    /** The octet a frame begins with. */
    int start() {
        return this == D ? START_D : START_P;
    }

    /** A message and the head it is for, or from. */
    public record Addressed(int address, DMessage message) {}

    /**
     * @param address 1 to 255
     * @throws IllegalArgumentException for another address
     */
    public Octets encode(int address, DMessage message) {
        if (address < 1 || address > MOST_ADDRESS) {
            throw new IllegalArgumentException("an address is 1 to 255, got " + address);
        }
        int[] c = message.match(new Command());
        if (this == D) {
            Octets middle = Octets.of(address, c[0], c[1], c[2], c[3]);
            return Octets.of(START_D).plus(middle).plus(Octets.of(sum(middle.toArray())));
        }
        return closed(START_P, address - 1, c[0], c[1], c[2], c[3], END_P);
    }

    private static int sum(byte... octets) {
        int sum = 0;
        for (byte o : octets) {
            sum += o;
        }
        return sum & 0xFF;
    }

    private static Octets closed(int... octets) {
        int xor = 0;
        for (int o : octets) {
            xor ^= o;
        }
        return Octets.of(octets).plus(Octets.of(xor));
    }

    /** The octets c1, c2, d1, d2 of a message. */
    private final class Command implements DMessage.Cases<int[]> {
        @Override
        public int[] drive(DMessage.Drive it) {
            int c2 =
                    bit(it.pan(), RIGHT, LEFT)
                            | bit(it.tilt(), UP, DOWN)
                            | bit(it.zoom(), TELE, WIDE);
            int c1 = bit(it.focus(), 0, near) | bit(it.iris(), open, close);
            int distant = it.focus() > 0 ? far : 0;
            return new int[] {
                c1 | distant >> 8, c2 | distant & 0xFF, Math.abs(it.pan()), Math.abs(it.tilt())
            };
        }

        private static int bit(int direction, int positive, int negative) {
            return direction > 0 ? positive : direction < 0 ? negative : 0;
        }

        @Override
        public int[] preset(DMessage.Preset it) {
            return new int[] {0, it.action().wire(), 0, it.number()};
        }

        @Override
        public int[] ask(DMessage.Ask it) {
            return new int[] {0, it.axis().query(), 0, 0};
        }

        @Override
        public int[] position(DMessage.Position it) {
            return new int[] {0, it.axis().answer(), it.value() >> 8, it.value() & 0xFF};
        }

        @Override
        public int[] other(DMessage.Other it) {
            return new int[] {it.c1(), it.c2(), it.d1(), it.d2()};
        }
    }

    /** One whole frame of this form. */
    public Decoded<Addressed> decode(Octets frame) {
        if (frame.size() != size || frame.at(0) != start()) {
            return Decoded.rejected(frame, "a frame has " + size + " octets");
        }
        int address = this == D ? frame.at(1) : frame.at(1) + 1;
        if (address < 1 || address > MOST_ADDRESS) {
            return Decoded.rejected(frame, "no address");
        }
        Octets c = frame.slice(2, 6);
        return extended(c)
                .or(() -> drive(c))
                .filter(m -> closedRight(frame) && says(m, c))
                .map(m -> Decoded.accepted(new Addressed(address, m)))
                .orElseGet(
                        () ->
                                Decoded.rejected(
                                        frame, "no message known, or the checksum is wrong"));
    }

    /** A frame of this form that is none of its messages: what one profile alone states. */
    public Optional<Addressed> profileFrame(Octets frame) {
        if (frame.size() != size || decode(frame).toOptional().isPresent()) {
            return Optional.empty();
        }
        int address = this == D ? frame.at(1) : frame.at(1) + 1;
        DMessage.Other other =
                new DMessage.Other(frame.at(2), frame.at(3), frame.at(4), frame.at(5));
        return frame.at(0) == start() && closedRight(frame)
                ? Optional.of(new Addressed(address, other))
                : Optional.empty();
    }

    private boolean closedRight(Octets frame) {
        if (this == D) {
            return frame.at(6) == sum(frame.slice(1, 6).toArray());
        }
        Octets again = closed(ints(frame.slice(0, 7)));
        return frame.at(6) == END_P && again.equals(frame);
    }

    private static int[] ints(Octets octets) {
        return IntStream.range(0, octets.size()).map(octets::at).toArray();
    }

    /** Every bit is used; an axis that stands may carry any speed. */
    private boolean says(DMessage message, Octets c) {
        int[] again = message.match(new Command());
        boolean drive = message instanceof DMessage.Drive;
        return again[0] == c.at(0)
                && again[1] == c.at(1)
                && (again[2] == c.at(2) || drive && again[2] == 0)
                && (again[3] == c.at(3) || drive && again[3] == 0);
    }

    /** Presets, questions and answers have an odd second octet, which no drive has. */
    private static Optional<DMessage> extended(Octets c) {
        int value = c.at(2) << 8 | c.at(3);
        Optional<DMessage> preset =
                DMessage.PresetAction.fromWire(c.at(1)).map(a -> new DMessage.Preset(a, c.at(3)));
        return preset.or(() -> DAxis.ofQuery(c.at(1)).map(DMessage.Ask::new))
                .or(() -> DAxis.ofAnswer(c.at(1)).map(a -> new DMessage.Position(a, value)));
    }

    private Optional<DMessage> drive(Octets c) {
        int pan = way(c.at(1), RIGHT, LEFT) * c.at(2);
        int tilt = way(c.at(1), UP, DOWN) * c.at(3);
        boolean distant = ((c.at(0) << 8 | c.at(1)) & far) != 0;
        int focus = distant ? 1 : way(c.at(0), 0, near);
        return Math.abs(pan) > DMessage.STEPS || Math.abs(tilt) > DMessage.STEPS
                ? Optional.empty()
                : Optional.of(
                        new DMessage.Drive(
                                pan,
                                tilt,
                                way(c.at(1), TELE, WIDE),
                                focus,
                                way(c.at(0), open, close)));
    }

    private static int way(int octet, int positive, int negative) {
        return (octet & positive) != 0 ? 1 : (octet & negative) != 0 ? -1 : 0;
    }
}
