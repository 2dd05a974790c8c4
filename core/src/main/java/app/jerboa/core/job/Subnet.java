package app.jerboa.core.job;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.ItemKind;
import app.jerboa.core.value.ItemRef;

/**
 * One subnet of the house.
 *
 * @param gateway the router's address in it
 * @param laptopHome the technician's laptop at home in it
 */
public record Subnet(long id, Ipv4Subnet range, Ipv4 gateway, Ipv4 laptopHome) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.SUBNET, id);
    }
}
