package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.value.DeviceId;
import java.util.LinkedHashSet;
import java.util.Set;

/** What a device is fed by and reached through, by the plan: that is plugged first. */
final class Before {
    private final Patch patch;
    private final Set<DeviceId> order = new LinkedHashSet<>();
    private final Set<DeviceId> seen = new LinkedHashSet<>();

    private Before(Patch patch) {
        this.patch = patch;
    }

    /** In the order of plugging; the device itself comes last. */
    static Set<DeviceId> of(Patch patch, DeviceId id) {
        Before before = new Before(patch);
        before.visit(id);
        return before.order;
    }

    private void visit(DeviceId id) {
        if (!seen.add(id)) {
            return;
        }
        for (Link link : patch.ownLeads(id)) {
            if (link.signal().serial() || joins(link)) {
                boolean own = patch.whole(id).contains(link.from().device().id());
                visit((own ? link.to() : link.from()).device().id());
            }
        }
        order.add(id);
    }

    private static boolean joins(Link link) {
        return switch (link.signal()) {
            case NETWORK, DC, MULTICORE -> true;
            default -> false;
        };
    }
}
