package app.jerboa.server.world;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.link.udp.UdpTransport;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.stereotype.Component;

/** Reaching devices of a job: who answers at an address, and a link to the one that does. */
@Component
public class World {
    private final RigClient rig;
    private final ScheduledExecutorService timer =
            Executors.newScheduledThreadPool(
                    2,
                    task -> {
                        Thread thread = new Thread(task, "links");
                        thread.setDaemon(true);
                        return thread;
                    });
    private final Map<Long, List<RigBodies.Wanted>> furnished = new ConcurrentHashMap<>();

    World(RigClient rig) {
        this.rig = rig;
    }

    @PreDestroy
    void stop() {
        timer.shutdownNow();
    }

    /**
     * Puts the job's cameras into the rig's hall, fresh from the box, unless they are there; asked
     * again only after the kit changed.
     */
    public void furnish(Jobs.Stored stored) {
        List<RigBodies.Wanted> wanted = wanted(stored.job().devices());
        if (!rig.configured() || wanted.equals(furnished.get(stored.id()))) {
            return;
        }
        rig.furnish(stored.id(), network(stored.laptopHome()), wanted);
        furnished.put(stored.id(), wanted);
    }

    private static List<RigBodies.Wanted> wanted(List<Device> devices) {
        return devices.stream()
                .filter(World::simulated)
                .map(
                        d ->
                                new RigBodies.Wanted(
                                        d.id().toString(), d.name(), d.profile().id(), d.mac()))
                .toList();
    }

    /** There is a stand-in for it in the rig. */
    public static boolean simulated(Device d) {
        return d.profile().drivable() && d.profile().factory().isPresent();
    }

    /** An address with its prefix, as {@link LaptopAddress} writes it. */
    public static String text(RigBodies.Network network) {
        return network.address() + "/" + network.prefix();
    }

    public static RigBodies.Network network(LaptopAddress laptop) {
        return new RigBodies.Network(laptop.address().toString(), laptop.prefix(), "");
    }

    public RigBodies.Reach reach(Jobs.Stored stored, Ipv4 address) {
        furnish(stored);
        return rig.reach(stored.id(), address);
    }

    /** A link to one that answers; the caller closes it. */
    public ViscaLink open(RigBodies.Answering to, Form form, WireLog log) {
        int port = form == Form.HEADER ? to.headerPort() : to.rawPort();
        try {
            return new ViscaLink(
                    UdpTransport.open(new InetSocketAddress(to.host(), port)),
                    form,
                    timer,
                    InstantSource.system(),
                    log);
        } catch (IOException e) {
            throw new UncheckedIOException("no link to " + to.name(), e);
        }
    }
}
