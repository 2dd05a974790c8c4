package app.jerboa.core.job.edit;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.List;

/**
 * No two subnets of a job share an address or a VLAN id: it could not be said where a device is.
 */
final class SubnetRules {
    private SubnetRules() {}

    /**
     * @throws ItemRejected for the later of the first two that collide
     */
    static void check(List<Subnet> subnets) {
        for (int i = 1; i < subnets.size(); i++) {
            for (Subnet earlier : subnets.subList(0, i)) {
                apart(earlier, subnets.get(i));
            }
        }
    }

    private static void apart(Subnet earlier, Subnet later) {
        if (earlier.range().contains(later.range().network())
                || later.range().contains(earlier.range().network())) {
            throw rejected(later, Field.CIDR, Reason.of("text.overlaps", "range", earlier.range()));
        }
        if (later.vlan().isPresent() && later.vlan().equals(earlier.vlan())) {
            throw rejected(later, Field.VLAN, Reason.of("text.vlan", "range", earlier.range()));
        }
    }

    private static ItemRejected rejected(Subnet subnet, Field field, Reason reason) {
        String text = JobItems.text(subnet, field);
        return new ItemRejected(subnet.ref(), field, new TextRejected(text, 0, reason));
    }
}
