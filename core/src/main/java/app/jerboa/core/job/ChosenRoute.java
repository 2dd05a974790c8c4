package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.value.DeviceId;
import java.util.Optional;

/**
 * How somebody wants one function of one line to be controlled, instead of as proposed.
 *
 * @param line id of the line
 * @param protocol the controller speaks, for example {@code visca-ip}
 * @param through what it goes through first; empty for straight to the camera
 */
public record ChosenRoute(
        long id,
        long line,
        RemoteFunction function,
        DeviceId controller,
        String protocol,
        Optional<DeviceId> through)
        implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.ROUTE, id);
    }
}
