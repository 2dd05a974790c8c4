package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.List;
import java.util.Map;

/** The items of a job that has its site and its network and nothing else. */
public final class EmptyJob {
    /** Where the laptop sits in a /24 and wider: the start of the block for computers. */
    private static final int LAPTOP_OFFSET = 81;

    private EmptyJob() {}

    public static List<Item> items(String name, String units, Ipv4Subnet subnet, Ipv4 gateway) {
        return List.of(
                new Item(
                        new ItemRef(ItemKind.SITE, 1),
                        Map.of(Field.SITE_NAME, name, Field.UNITS, units)),
                new Item(
                        new ItemRef(ItemKind.SUBNET, 2),
                        Map.of(
                                Field.CIDR, subnet.toString(),
                                Field.SUBNET_GATEWAY, gateway.toString(),
                                Field.LAPTOP_HOME, laptop(subnet, gateway).toString())));
    }

    private static Ipv4 laptop(Ipv4Subnet subnet, Ipv4 gateway) {
        long offset = Math.min(LAPTOP_OFFSET, subnet.hosts().size());
        Ipv4 wanted = subnet.network().plus(offset);
        return wanted.equals(gateway)
                ? subnet.network().plus(offset == 1 ? 2 : offset - 1)
                : wanted;
    }
}
