package app.jerboa.core.job.control;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * One way to control one function of one camera.
 *
 * @param by the controller
 * @param key of the camera on that controller; empty when it has none there
 * @param sends what the controller speaks
 * @param through what stands between, in order; empty for straight to the camera
 * @param answers what the camera, or what is fitted to it, answers to
 * @param chosen somebody wants it so
 * @param needs in the order of {@link RouteNeed}
 */
public record ControlRoute(
        RemoteFunction function,
        Device by,
        OptionalInt key,
        Speaks sends,
        List<Device> through,
        Speaks answers,
        boolean chosen,
        Set<RouteNeed> needs) {

    /** It would work as the plan stands. */
    public boolean ready() {
        return !needs.contains(RouteNeed.OPTION) && (chosen || !needs.contains(RouteNeed.KEY));
    }

    /** The last piece to the camera is radio. */
    public boolean wireless() {
        return answers.over() == Transport.RADIO;
    }
}
