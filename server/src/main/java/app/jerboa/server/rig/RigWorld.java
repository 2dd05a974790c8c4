package app.jerboa.server.rig;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.World;
import app.jerboa.server.world.WorldTime;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.session.ViscaLink;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;

/** The rig's hall: its virtual LAN says what would answer, then traffic goes over real loopback. */
final class RigWorld implements World, AutoCloseable {
    private static final int TIMERS = 2;

    private final RigClient rig;
    private final RigHall hall;

    /** For the time-outs of links. */
    private final ScheduledExecutorService timer =
            Executors.newScheduledThreadPool(
                    TIMERS,
                    task -> {
                        Thread thread = new Thread(task, "links");
                        thread.setDaemon(true);
                        return thread;
                    });

    RigWorld(RigClient rig, RigHall hall) {
        this.rig = rig;
        this.hall = hall;
    }

    @Override
    public void close() {
        timer.shutdownNow();
    }

    @Override
    public WorldTime time() {
        RigBodies.Clock clock = rig.clock();
        return new WorldTime(clock.worldNow(), clock.speed());
    }

    @Override
    public Optional<Laptop> laptop(Jobs.Stored stored) {
        RigBodies.Hall seen = hall.of(stored);
        return Optional.of(
                new Laptop(
                        seen.laptop().text(),
                        seen.also().stream().map(RigBodies.Network::text).toList()));
    }

    @Override
    public boolean canAsk(Device device) {
        return RigHall.simulated(device);
    }

    @Override
    public Reach reach(Jobs.Stored stored, Ipv4 address) {
        hall.furnish(stored);
        RigBodies.Reach reach = rig.reach(stored.id(), address);
        List<RigBodies.Answering> answering = reach.answering();
        if (!reach.onLink()) {
            return new Reach.Elsewhere(rig.hall(stored.id()).laptop().address());
        }
        if (answering.isEmpty()) {
            return new Reach.Silent();
        }
        return answering.size() > 1
                ? new Reach.Fighting(answering.stream().map(RigBodies.Answering::name).toList())
                : new Reach.One(answering(answering.get(0)));
    }

    private static Answering answering(RigBodies.Answering a) {
        String mac = a.mac().toLowerCase(Locale.ROOT);
        return new Answering(a.name(), mac, a.host(), a.ports());
    }

    @Override
    public Optional<Ipv4> addressNow(Jobs.Stored stored, Device device) {
        String now = rig.settings(stored.id(), device.id().value()).address();
        return Optional.of(Ipv4.parse(now));
    }

    @Override
    public HeadLink open(Answering to, Form form, WireLog log) {
        Protocol protocol = form == Form.HEADER ? Protocol.VISCA_IP : Protocol.VISCA_UDP;
        Integer port = to.ports().get(protocol.toString());
        if (port == null) {
            throw new NoAnswer(to.name() + " has no port for " + protocol);
        }
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
