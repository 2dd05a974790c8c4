package app.jerboa.server.rig;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The rig's hall of a job, with the job's cameras in it. */
@Component
class RigHall {
    private final RigClient rig;
    private final Map<Long, List<RigBodies.Wanted>> furnished = new ConcurrentHashMap<>();

    RigHall(RigClient rig) {
        this.rig = rig;
    }

    /**
     * Puts the job's cameras into the hall, fresh from the box, unless they are there; asked again
     * only after the kit changed.
     */
    void furnish(Jobs.Stored stored) {
        List<RigBodies.Wanted> wanted = wanted(stored.job().devices());
        if (wanted.equals(furnished.get(stored.id()))) {
            return;
        }
        rig.furnish(stored.id(), network(stored.laptopHome()), wanted);
        furnished.put(stored.id(), wanted);
    }

    RigBodies.Hall of(Jobs.Stored stored) {
        furnish(stored);
        return rig.hall(stored.id());
    }

    private static List<RigBodies.Wanted> wanted(List<Device> devices) {
        return devices.stream()
                .filter(RigHall::simulated)
                .map(
                        d ->
                                new RigBodies.Wanted(
                                        d.id().toString(), d.name(), d.profile().id(), d.mac()))
                .toList();
    }

    /** There is a stand-in for it in the rig. */
    static boolean simulated(Device d) {
        return d.profile().drivable() && d.profile().factory().isPresent();
    }

    static RigBodies.Network network(LaptopAddress laptop) {
        return new RigBodies.Network(laptop.address().toString(), laptop.prefix(), "");
    }
}
