package app.jerboa.core.job.control;

import app.jerboa.core.job.Line;
import app.jerboa.core.profile.Function;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Functions;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What must be controlled from afar at a camera. */
public final class Wanted {
    /** Every function a matrix of control routes has, in its order. */
    public static final List<Function> ALL = Functions.WORDS.stream().map(Function::of).toList();

    private Wanted() {}

    /** As noted on the line, else what is usual. */
    public static Set<Function> of(Line line, Profile camera) {
        return line.wants().orElseGet(() -> usual(camera));
    }

    /** What people expect of a camera of this sort. */
    public static Set<Function> usual(Profile camera) {
        return switch (camera.sort()) {
            case CEILING_PTZ, COMPACT_PTZ -> set(Function.PAN_TILT, Function.ZOOM, Function.FOCUS);
            case CINEMA_HEAD ->
                    set(Function.PAN_TILT, Function.ZOOM, Function.FOCUS, Function.EXPOSURE);
            case SHOULDER_CAMERA -> set(Function.EXPOSURE, Function.PAINT, Function.TALLY);
            case BOX_CAMERA -> set(Function.FOCUS, Function.EXPOSURE);
            case DOME, GIMBAL_CAMERA -> set(Function.PAN_TILT, Function.ZOOM);
            default -> Set.of();
        };
    }

    private static Set<Function> set(Function first, Function... more) {
        return Collections.unmodifiableSet(EnumSet.of(first, more));
    }
}
