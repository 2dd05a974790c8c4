package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;

/** A shot list; its takes point to it. */
public record PlannedShots(long id, String name) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.SHOT_LIST, id);
    }
}
