package app.jerboa.server.rig;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.AddressRange;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Does in the simulated hall what a technician would do by hand; the step is still checked
 * afterwards.
 */
@Component
public class RigHands {
    private final RigClient rig;
    private final RigHall hall;
    private final Worlds worlds;

    RigHands(RigClient rig, RigHall hall, Worlds worlds) {
        this.rig = rig;
        this.hall = hall;
        this.worlds = worlds;
    }

    public void act(Jobs.Stored stored, Step step) {
        if (worlds.choice(stored.id()) != WorldChoice.RIG) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-in-rig",
                    "This job is not worked in the stand-in rig, so there are no hands for it.");
        }
        hall.furnish(stored);
        switch (step.kind()) {
            case HOP_OUT, HOP_HOME -> rig.moveLaptop(stored.id(), RigHall.network(step.laptop()));
            case ALIAS -> rig.addToLaptop(stored.id(), RigHall.network(step.laptop()));
            case PLUG, PORT -> rig.plug(stored.id(), simulated(stored, step).id().value(), true);
            case RESET -> rig.reset(stored.id(), simulated(stored, step).id().value());
            case LEASE -> lease(stored, simulated(stored, step));
            case SET -> type(stored, simulated(stored, step));
            case REACH, PLUG_OFF, SEE, UPDATE, RESTART, LABEL, VERIFY, ENTER, JOIN, STREAM ->
                    throw new Problem(
                            HttpStatus.CONFLICT,
                            "nothing-by-hand",
                            "There is nothing to do by hand in this step: wait, then check.");
        }
    }

    /** There are hands for it. */
    public boolean can(long job, Step step, Optional<Device> device) {
        return rig.configured()
                && worlds.choice(job) == WorldChoice.RIG
                && switch (step.kind()) {
                    case HOP_OUT, ALIAS, HOP_HOME -> true;
                    case PLUG, PORT, RESET, LEASE, SET ->
                            device.filter(RigHall::simulated).isPresent();
                    default -> false;
                };
    }

    private static Device simulated(Jobs.Stored stored, Step step) {
        Device device = stored.job().device(step.device().orElseThrow()).orElseThrow();
        if (!RigHall.simulated(device)) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-stand-in",
                    "There is no stand-in for "
                            + device.name()
                            + " in the hall: tick the step by hand.");
        }
        return device;
    }

    /** The house lends it the lowest address of the first pool that nobody has. */
    private void lease(Jobs.Stored stored, Device device) {
        Set<String> used =
                rig.hall(stored.id()).devices().stream()
                        .map(d -> d.settings().address())
                        .collect(Collectors.toSet());
        Optional<Ipv4> free =
                stored.job().ranges().stream()
                        .filter(r -> r.use().equals("pool"))
                        .map(AddressRange::range)
                        .flatMap(
                                r ->
                                        LongStream.rangeClosed(r.first().bits(), r.last().bits())
                                                .mapToObj(Ipv4::new))
                        .filter(a -> !used.contains(a.toString()))
                        .findFirst();
        if (free.isEmpty()) {
            throw noLease(device.name());
        }
        rig.setAtDevice(
                stored.id(),
                device.id().value(),
                new RigBodies.Network(free.get().toString(), device.prefix(), ""));
    }

    private static Problem noLease(String device) {
        return new Problem(
                HttpStatus.CONFLICT,
                "no-lease",
                "The house has no DHCP pool with a free address, so nobody lends "
                        + device
                        + " one. Note its pool on the Site page.");
    }

    /** Through its own page, wherever it answers now. */
    private void type(Jobs.Stored stored, Device device) {
        Ipv4 now =
                rig.settings(stored.id(), device.id().value())
                        .known()
                        .orElseThrow(() -> noLease(device.name()));
        rig.reconfigure(
                stored.id(),
                now,
                new RigBodies.Network(
                        PlannedAddress.of(device).toString(),
                        device.prefix(),
                        JobItems.text(device, Field.GATEWAY)));
    }
}
