package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.net.Ipv4Range;

/**
 * Addresses of the house that are not ours to give out.
 *
 * @param use {@code pool} (DHCP), {@code reserved} (kept back) or {@code taken}
 * @param holder whose they are; may be blank
 */
public record AddressRange(long id, String use, Ipv4Range range, String holder) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.RANGE, id);
    }
}
