package app.jerboa.wire.dprotocol;

import java.util.Arrays;
import java.util.Optional;

/** What goes over an RS-485 bus: orders and questions to a head, and its answers. */
public sealed interface DMessage {
    /** Speeds each way. */
    int STEPS = 63;

    int MOST_PRESET = 255;

    <R> R match(Cases<R> cases);

    /** One case a message. */
    interface Cases<R> {
        R drive(Drive it);

        R preset(Preset it);

        R ask(Ask it);

        R position(Position it);

        R other(Other it);
    }

    /**
     * All that moves, at once; all zero is the stop.
     *
     * @param pan -63 (left, fast) to 63
     * @param tilt -63 (down, fast) to 63
     * @param zoom -1 wide, 1 tele
     * @param focus -1 near, 1 far
     * @param iris -1 closes, 1 opens
     */
    record Drive(int pan, int tilt, int zoom, int focus, int iris) implements DMessage {
        public static final Drive STOP = new Drive(0, 0, 0, 0, 0);

        public Drive {
            insist("pan", pan, STEPS);
            insist("tilt", tilt, STEPS);
            insist("zoom", zoom, 1);
            insist("focus", focus, 1);
            insist("iris", iris, 1);
        }

        public static Drive of(int pan, int tilt) {
            return new Drive(pan, tilt, 0, 0, 0);
        }

        private static void insist(String what, int step, int most) {
            if (Math.abs(step) > most) {
                throw new IllegalArgumentException(
                        what + " must be -" + most + " to " + most + ", got " + step);
            }
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drive(this);
        }
    }

    /** What is done with a preset. */
    enum PresetAction {
        SET(0x03),
        CLEAR(0x05),
        GO(0x07);

        private final int wire;

        PresetAction(int wire) {
            this.wire = wire;
        }

        int wire() {
            return wire;
        }

        static Optional<PresetAction> fromWire(int octet) {
            return Arrays.stream(values()).filter(a -> a.wire == octet).findFirst();
        }
    }

    /**
     * @param number 0 to 255; which are reserved is for the profile to say
     */
    record Preset(PresetAction action, int number) implements DMessage {
        public Preset {
            if (number < 0 || number > MOST_PRESET) {
                throw new IllegalArgumentException("a preset is 0 to 255, got " + number);
            }
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.preset(this);
        }
    }

    /** Where is it? */
    record Ask(DAxis axis) implements DMessage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ask(this);
        }
    }

    /**
     * Where it is.
     *
     * @param value 16 bits: hundredths of a degree, or 0 to 65535 of the zoom range
     */
    record Position(DAxis axis, int value) implements DMessage {
        public Position {
            if (value < 0 || value > 0xFFFF) {
                throw new IllegalArgumentException("a position has 16 bits, got " + value);
            }
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.position(this);
        }
    }

    /** Four octets that a profile states, for a function that is none of the above. */
    record Other(int c1, int c2, int d1, int d2) implements DMessage {
        @Override
        public <R> R match(Cases<R> cases) {
            return cases.other(this);
        }
    }
}
