package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;

/**
 * What one piece, or one metre, of a material costs.
 *
 * @param material as the list of materials names it
 * @param hundredths of the house's currency
 */
public record Price(long id, String material, int hundredths) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.PRICE, id);
    }
}
