package app.jerboa.server.rig;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Door;
import app.jerboa.server.world.Heard;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.OwnAddress;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.Standpoint;
import app.jerboa.server.world.World;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.WorldTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The rig's hall: its virtual LAN says what would answer, then traffic goes over real loopback. */
@Component
final class RigWorld implements World {
    private final RigClient rig;
    private final RigHall hall;

    RigWorld(RigClient rig, RigHall hall) {
        this.rig = rig;
        this.hall = hall;
    }

    @Override
    public WorldChoice which() {
        return WorldChoice.RIG;
    }

    @Override
    public boolean there() {
        return rig.configured();
    }

    @Override
    public Standpoint standpoint(Jobs.Stored stored) {
        RigBodies.Hall seen = hall.of(stored);
        List<OwnAddress> own =
                Stream.concat(Stream.of(seen.laptop()), seen.also().stream())
                        .map(n -> new OwnAddress("LAN", n.text(), true))
                        .toList();
        return new Standpoint(seen.laptop().text(), own, List.of(), List.of());
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
        return device.profile().networked();
    }

    @Override
    public Reach reach(Jobs.Stored stored, Ipv4 address) {
        hall.furnish(stored);
        RigBodies.Reach reach = rig.reach(stored.id(), address);
        List<RigBodies.Answering> answering = reach.answering();
        if (!reach.onLink()) {
            return new Reach.Elsewhere(rig.hall(stored.id()).laptop().address());
        }
        boolean stale = answering.size() == 1 && reach.holder().isEmpty();
        if (answering.isEmpty() || stale) {
            return new Reach.Silent();
        }
        return answering.size() > 1
                ? new Reach.Fighting(answering.stream().map(RigWorld::answering).toList())
                : new Reach.One(answering(answering.get(0)));
    }

    /** The hall is one network, so that every address of it may be looked at. */
    @Override
    public Reach look(Jobs.Stored stored, Ipv4 address) {
        return reach(stored, address);
    }

    /** As far as the device has them open: the rig says on which real port each is. */
    @Override
    public List<Door> doors(Jobs.Stored stored, Answering answering) {
        return Door.LOOKED_FOR.stream()
                .filter(p -> answering.ports().containsKey(p.toString()))
                .map(p -> new Door(p, answering.ports().get(p.toString())))
                .toList();
    }

    /** Nobody hears a group on loopback: each that answers is probed alone. */
    @Override
    public List<Heard> askAll(Jobs.Stored stored) {
        return List.of();
    }

    private static Answering answering(RigBodies.Answering a) {
        String mac = a.mac().toLowerCase(Locale.ROOT);
        return Answering.of(a.name(), mac, a.host(), a.ports());
    }

    @Override
    public Optional<Ipv4> addressNow(Jobs.Stored stored, Device device) {
        hall.furnish(stored);
        return rig.settings(stored.id(), device.id().value()).known();
    }
}
