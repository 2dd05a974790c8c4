package app.jerboa.server.desk;

import app.jerboa.core.value.Kebab;
import app.jerboa.wire.link.WireLog;
import java.util.List;
import java.util.Optional;

/** What a page is told over {@code /ws/desk}; what it says is a {@link PageMessage}. */
final class DeskMessages {
    private DeskMessages() {}

    /** A camera was taken: it can be driven now. */
    record Taken(String type, long camera) {
        Taken(long camera) {
            this("taken", camera);
        }
    }

    /**
     * A camera was not taken, in words: none is on the stick now.
     *
     * @param askable somebody drives it, who can be asked for it
     */
    record Refused(String type, long camera, String reason, boolean askable) {
        Refused(long camera, String reason) {
            this("refused", camera, reason, false);
        }

        static Refused heldBySomebody(long camera, String reason) {
            return new Refused("refused", camera, reason, true);
        }
    }

    /** Its driver was asked for it: it is taken when it is given back. */
    record Waiting(String type, long camera) {
        Waiting(long camera) {
            this("waiting", camera);
        }
    }

    /**
     * Somebody asks for the camera that is driven here; told each second.
     *
     * @param seconds left to keep it
     */
    record Asked(String type, long camera, String by, int seconds) {
        Asked(long camera, String by, int seconds) {
            this("asked", camera, by, seconds);
        }
    }

    /** The camera is no longer on the stick; it was stopped. */
    record Released(String type, long camera, String reason) {
        Released(long camera, String reason) {
            this("released", camera, reason);
        }
    }

    /**
     * Something did not work; what was taken stays taken. No camera for none in particular.
     *
     * @param silent the camera does not answer: over as soon as it does
     */
    record Trouble(String type, Optional<Long> camera, String reason, boolean silent) {
        Trouble(Optional<Long> camera, String reason) {
            this("trouble", camera, reason, false);
        }

        static Trouble silence(long camera, String reason) {
            return new Trouble("trouble", Optional.of(camera), reason, true);
        }
    }

    /**
     * Where the camera says it is: degrees right and up of the middle, zoom 0 to 1, angle of view.
     *
     * @param panPerSecond degrees a second of the step told now, by the profile; 0 at rest
     * @param rollDegrees of a head that rolls and says so
     * @param railMetres of one on a rail
     * @param crossingSeconds in which the picture crosses at full deflection, by the person's feel
     */
    record Position(
            String type,
            long camera,
            double panDegrees,
            double tiltDegrees,
            double zoom,
            double angleDegrees,
            int panCounts,
            int tiltCounts,
            int zoomCounts,
            Optional<Double> rollDegrees,
            Optional<Double> railMetres,
            double crossingSeconds,
            double panPerSecond,
            double tiltPerSecond,
            double rollPerSecond,
            double railPerSecond) {}

    /**
     * The head was not moved: something is to be said first.
     *
     * @param what clear or on-air
     */
    record Needs(String type, long camera, String what) {
        Needs(long camera, MoveGate.Keeps keeps) {
            this("needs", camera, Kebab.of(keeps));
        }
    }

    /**
     * The head was stopped; standing when two readings agreed, and why it was stopped. Not standing
     * is told when it was not seen done after a second, and the stop goes on.
     *
     * @param blind the stop went out as often as its protocol asks, and it tells nothing back
     */
    record Stopped(String type, long camera, boolean standing, boolean blind, String why) {
        Stopped(long camera, boolean standing, boolean blind, String why) {
            this("stopped", camera, standing, blind, why);
        }
    }

    /**
     * Frames of the wire log, without the read-back; newest first.
     *
     * @param leftOut how many more went over the link before these: the wire log has them
     */
    record Frames(String type, List<Frame> frames, int leftOut) {
        Frames(List<Frame> frames, int leftOut) {
            this("frames", frames, leftOut);
        }
    }

    /** One frame; sent by us or received. */
    record Frame(String at, boolean sent, String hex, String meaning) {
        static Frame of(WireLog.Entry entry) {
            return new Frame(
                    entry.at().toString(),
                    entry.direction() == WireLog.Direction.SENT,
                    entry.octets().toString(),
                    entry.meaning());
        }
    }
}
