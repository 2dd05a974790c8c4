package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;

/**
 * The job's own facts.
 *
 * @param units how lengths are shown: {@code m} or {@code ft}
 */
public record Site(long id, String name, String units, Habits habits) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.SITE, id);
    }
}
