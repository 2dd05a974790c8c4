package app.jerboa.core.job.control;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.PresetCall;
import app.jerboa.core.profile.PresetHome;
import app.jerboa.core.profile.Presets;
import app.jerboa.core.profile.RemoteFunction;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A controller that has a camera on a key, and whether it can call the camera's stored views.
 *
 * @param key of the camera on it
 */
public record PresetCaller(Device controller, OptionalInt key, How how) {
    /** Can it? */
    public enum How {
        CALLS,
        /** It stores views of its own and sends the camera there. */
        KEEPS_ITS_OWN,
        /** What it speaks with this camera has no word for it. */
        NOT_CARRIED
    }

    /** Those of a line: the key that drives it, a second one, the paint panel. */
    public static List<PresetCaller> of(ControlRoutes routes, KitIndex kit, Line line) {
        return line.keys()
                .map(
                        k -> {
                            Device by = kit.device(k.controller());
                            return new PresetCaller(
                                    by, OptionalInt.of(k.number()), how(routes, line, by));
                        })
                .toList();
    }

    /** By which the views of a line are named here: the first that can. */
    public static Optional<PresetCaller> first(List<PresetCaller> callers) {
        return callers.stream()
                .filter(c -> c.how() == How.CALLS && c.presets().isPresent())
                .findFirst();
    }

    private static How how(ControlRoutes routes, Line line, Device by) {
        if (by.profile().presets().filter(p -> p.keptIn() != PresetHome.CAMERA).isPresent()) {
            return How.KEEPS_ITS_OWN;
        }
        return routes.drives(by.id(), line, RemoteFunction.PRESETS) ? How.CALLS : How.NOT_CARRIED;
    }

    /** How it counts; empty for one of which that is not known. */
    public Optional<Presets> presets() {
        return controller.profile().presets();
    }

    /** Empty when it cannot, or reaches not so far. */
    public Optional<PresetCall> call(int number) {
        return how == How.CALLS
                ? presets().flatMap(p -> PresetCall.of(p, number))
                : Optional.empty();
    }
}
