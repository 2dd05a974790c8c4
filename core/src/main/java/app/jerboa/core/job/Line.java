package app.jerboa.core.job;

import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.ItemKind;
import app.jerboa.core.value.ItemRef;
import java.util.Optional;

/**
 * One camera's thread through the installation.
 *
 * @param number 1 for L1
 * @param controlId number it answers to, VISCA 1 to 7
 * @param key where it sits on a controller, if anywhere
 */
public record Line(long id, int number, DeviceId camera, int controlId, Optional<Key> key)
        implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.LINE, id);
    }

    /** A key of a controller. */
    public record Key(DeviceId controller, int number) {}
}
