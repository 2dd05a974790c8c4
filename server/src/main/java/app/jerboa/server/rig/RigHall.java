package app.jerboa.server.rig;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.jobfile.PlainFile;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.secrets.DeviceAccounts;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** The rig's hall of a job: built from the job's own file, and adapted when that changes. */
@Component
class RigHall {
    private final RigClient rig;
    private final DeviceAccounts accounts;
    private final InnerJson json;

    /** The version of a job that its hall was built from last. */
    private final Map<Long, Long> furnished = new ConcurrentHashMap<>();

    RigHall(RigClient rig, DeviceAccounts accounts, InnerJson json) {
        this.rig = rig;
        this.accounts = accounts;
        this.json = json;
    }

    /**
     * Puts the job's devices into the hall, fresh from the box, unless they are there; asked again
     * only after they changed.
     */
    void furnish(Jobs.Stored stored) {
        Long before = furnished.get(stored.id());
        if (before == null || before != stored.version()) {
            rig.furnish(stored.id(), wanted(stored));
            furnished.put(stored.id(), stored.version());
        }
    }

    /** A rig that was started anew may not know the hall any more: it is built again then. */
    RigBodies.Hall of(Jobs.Stored stored) {
        furnish(stored);
        try {
            return rig.hall(stored.id());
        } catch (Problem e) {
            if (e.status() != HttpStatus.NOT_FOUND) {
                throw e;
            }
            furnished.remove(stored.id());
            furnish(stored);
            return rig.hall(stored.id());
        }
    }

    private RigBodies.Furnish wanted(Jobs.Stored stored) {
        Map<String, String> passwords = new TreeMap<>();
        for (Device d : stored.job().devices()) {
            password(stored, d).ifPresent(p -> passwords.put(d.id().toString(), p));
        }
        return new RigBodies.Furnish(json.mapper().readTree(PlainFile.of(stored.job())), passwords);
    }

    /** As somebody set it at the device; none where it has its factory's, or none can be read. */
    private Optional<String> password(Jobs.Stored stored, Device d) {
        if (stored.job().password(d.id()).isEmpty()) {
            return Optional.empty();
        }
        try {
            return accounts.of(stored, d).map(DeviceAccounts.Account::password);
        } catch (Problem otherKey) {
            return Optional.empty();
        }
    }

    static RigBodies.Network network(LaptopAddress laptop) {
        return new RigBodies.Network(laptop.address().toString(), laptop.prefix(), "");
    }
}
