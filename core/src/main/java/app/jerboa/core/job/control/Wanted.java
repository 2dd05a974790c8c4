package app.jerboa.core.job.control;

import app.jerboa.core.job.Line;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.value.Functions;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What must be controlled from afar at a camera. */
public final class Wanted {
    /** Every function a matrix of control routes has, in its order. */
    public static final List<RemoteFunction> ALL =
            Functions.WORDS.stream().map(RemoteFunction::of).toList();

    private Wanted() {}

    /** As noted on the line, else what is usual. */
    public static Set<RemoteFunction> of(Line line, Profile camera) {
        return line.wants().orElseGet(() -> usual(camera));
    }

    /** What people expect of a camera of this sort. */
    public static Set<RemoteFunction> usual(Profile camera) {
        return switch (camera.sort()) {
            case CEILING_PTZ, COMPACT_PTZ ->
                    set(RemoteFunction.PAN_TILT, RemoteFunction.ZOOM, RemoteFunction.FOCUS);
            case CINEMA_HEAD ->
                    set(
                            RemoteFunction.PAN_TILT,
                            RemoteFunction.ZOOM,
                            RemoteFunction.FOCUS,
                            RemoteFunction.EXPOSURE);
            case SHOULDER_CAMERA ->
                    set(RemoteFunction.EXPOSURE, RemoteFunction.PAINT, RemoteFunction.TALLY);
            case BOX_CAMERA -> set(RemoteFunction.FOCUS, RemoteFunction.EXPOSURE);
            case DOME, GIMBAL_CAMERA -> set(RemoteFunction.PAN_TILT, RemoteFunction.ZOOM);
            default -> Set.of();
        };
    }

    private static Set<RemoteFunction> set(RemoteFunction first, RemoteFunction... more) {
        return Collections.unmodifiableSet(EnumSet.of(first, more));
    }
}
