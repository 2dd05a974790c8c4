package app.jerboa.core.job.edit;

import app.jerboa.core.item.ItemRef;

/** A change to an item that the job does not have, or an addition of one that it has already. */
public final class ItemMissing extends RuntimeException {
    private final ItemRef item;

    public ItemMissing(ItemRef item, String what) {
        super(item + " " + what);
        this.item = item;
    }

    public ItemRef item() {
        return item;
    }
}
