package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.StickSpeeds;
import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Head;
import app.jerboa.wire.link.session.AxisFrames;
import app.jerboa.wire.link.session.MoreAxis;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a head has beside pan and tilt, and how it is driven there. */
final class HeadAxes {
    private HeadAxes() {}

    static StickSpeeds.More speeds(Head head) {
        return new StickSpeeds.More(
                head.roll().flatMap(Axis::speeds), head.rail().flatMap(Axis::speeds));
    }

    static Map<MoreAxis, AxisFrames> frames(Head head) {
        Map<MoreAxis, AxisFrames> all = new EnumMap<>(MoreAxis.class);
        for (MoreAxis which : MoreAxis.values()) {
            of(head, which)
                    .filter(a -> a.speeds().isPresent())
                    .ifPresent(a -> all.put(which, frames(a)));
        }
        return all;
    }

    private static AxisFrames frames(Axis axis) {
        return AxisFrames.of(axis.steps().orElseThrow(), axis.drive(), axis.ask(), axis.answer());
    }

    private static Optional<Axis> of(Head head, MoreAxis which) {
        return which == MoreAxis.ROLL ? head.roll() : head.rail();
    }

    /** It can be driven to that place, in degrees or metres; to no other than a number. */
    static boolean reaches(Head head, MotionAxis which, double place) {
        return switch (which) {
            case PAN -> place >= head.panLeftDegrees() && place <= head.panRightDegrees();
            case TILT -> place >= head.tiltDownDegrees() && place <= head.tiltUpDegrees();
            case ROLL -> head.roll().filter(a -> reaches(a, place)).isPresent();
            case RAIL -> head.rail().filter(a -> reaches(a, place)).isPresent();
        };
    }

    private static boolean reaches(Axis axis, double place) {
        return axis.speeds().isPresent() && place >= axis.from() && place <= axis.to();
    }

    /** It can be asked where it is there. */
    static boolean tells(Head head, MoreAxis which) {
        return of(head, which)
                .filter(a -> a.speeds().isPresent() && !a.ask().isEmpty())
                .isPresent();
    }

    /** Degrees or metres of so many counts; empty where nobody knows what a count is. */
    static OptionalDouble place(Head head, MoreAxis which, int counts) {
        OptionalDouble unit =
                of(head, which).map(Axis::countsPerUnit).orElse(OptionalDouble.empty());
        return unit.isPresent() ? OptionalDouble.of(counts / unit.getAsDouble()) : unit;
    }
}
