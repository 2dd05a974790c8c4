package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.DeviceId;
import java.util.Optional;

/**
 * One thing of the before-the-van-leaves list that is done.
 *
 * @param device it is done for; empty when it is done once for all of the profile
 * @param what as the list says it
 */
public record Prepared(
        long id, Optional<DeviceId> device, String profile, String what, String person)
        implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.PREPARED, id);
    }
}
