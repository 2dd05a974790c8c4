package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.value.DeviceId;
import java.util.OptionalInt;
import java.util.Set;

/**
 * A cable or lead from one socket to another.
 *
 * @param from what gives, or the end nearer to the desk
 * @param gauge American wire gauge as noted; empty for what is usual for the cable
 * @param clad aluminium with a skin of copper
 * @param conductors bonded on each way of DC, at least 1
 * @param poe power may go over it
 * @param label on both its ends; may be blank
 * @param laid {@code indoor}, {@code conduit}, {@code outdoor} or {@code rated-jacket}
 * @param subscribed directions of a serial lead from a network decoder
 */
public record Run(
        long id,
        End from,
        End to,
        Cable cable,
        OptionalInt gauge,
        boolean clad,
        int conductors,
        double metres,
        boolean poe,
        String label,
        String laid,
        Set<String> subscribed)
        implements JobItem {
    public Run {
        subscribed = Set.copyOf(subscribed);
    }

    /**
     * One end.
     *
     * @param port the socket's name, with its number where there are several
     * @param pins how the end is made; may be blank
     */
    public record End(DeviceId device, String port, String pins) {}

    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.RUN, id);
    }

    /** The gauge as noted, else the usual one; 0 for what has no copper that counts. */
    public int wire() {
        return gauge.orElse(cable.usualGauge());
    }

    /** Directions in which a network decoder must be subscribed. */
    public boolean subscribedBothWays() {
        return subscribed.size() == 2;
    }
}
