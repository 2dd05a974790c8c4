package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.OptionalInt;

/**
 * One subnet of the house.
 *
 * @param name what it is for; may be blank
 * @param vlan its 802.1Q id, 1 to 4094; empty for untagged
 * @param gateway the router's address in it
 * @param laptopHome the technician's laptop at home in it
 */
public record Subnet(
        long id, String name, OptionalInt vlan, Ipv4Subnet range, Ipv4 gateway, Ipv4 laptopHome)
        implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.SUBNET, id);
    }
}
