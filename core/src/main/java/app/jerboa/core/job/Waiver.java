package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;

/**
 * A finding that somebody accepted; it stays visible as waived.
 *
 * @param finding {@link app.jerboa.core.finding.Finding#key()} of it
 * @param person who accepted it
 */
public record Waiver(long id, String finding, String reason, String person) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.WAIVER, id);
    }
}
