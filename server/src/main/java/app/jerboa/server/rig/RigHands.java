package app.jerboa.server.rig;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Firmware;
import app.jerboa.core.profile.FirmwareFloor;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.Version;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
            throw new Problem(HttpStatus.CONFLICT, "not-in-rig", Words.say("refused.no-hands"));
        }
        hall.furnish(stored);
        long job = stored.id();
        switch (step.kind()) {
            case HOP_OUT, HOP_HOME -> rig.moveLaptop(job, RigHall.network(step.laptop()));
            case ALIAS -> rig.addToLaptop(job, RigHall.network(step.laptop()));
            case PLUG -> rig.plug(job, id(step), true, false);
            case PLUG_OFF -> plugOff(stored, device(stored, step));
            case PORT -> port(stored, device(stored, step), true);
            case RESET -> seen(rig.hand(job, id(step), "reset", new RigBodies.Reset(false)));
            case UPDATE -> update(stored, device(stored, step));
            case LEASE, SEARCH, PAIR -> lease(stored, device(stored, step));
            case SET -> type(stored, device(stored, step));
            case REACH -> reach(job, device(stored, step));
            case LEAD_OUT -> lead(job, LeadHand.out(stored.job(), device(stored, step)));
            case LEAD_HOME -> lead(job, LeadHand.home(stored.job(), device(stored, step)));
            case ENTER -> {
                rig.plug(job, id(step), true, true);
                rig.act(job, id(step), "controllers", "as-planned");
            }
            case JOIN -> {
                rig.plug(job, id(step), true, true);
                rig.act(job, id(step), "devices", "joined");
            }
            case SEE, RESTART, LABEL, VERIFY, ASK, STREAM ->
                    throw new Problem(
                            HttpStatus.CONFLICT,
                            "nothing-by-hand",
                            Words.say("refused.nothing-by-hand"));
        }
    }

    /** There are hands for it. */
    public boolean can(long job, Step step) {
        return rig.configured()
                && worlds.choice(job) == WorldChoice.RIG
                && switch (step.kind()) {
                    case HOP_OUT,
                            ALIAS,
                            HOP_HOME,
                            PLUG,
                            PLUG_OFF,
                            PORT,
                            RESET,
                            UPDATE,
                            LEASE,
                            SEARCH,
                            PAIR,
                            SET,
                            REACH,
                            LEAD_OUT,
                            LEAD_HOME,
                            ENTER,
                            JOIN ->
                            true;
                    case SEE, RESTART, LABEL, VERIFY, ASK, STREAM -> false;
                };
    }

    private void lead(long job, Optional<LeadHand> hand) {
        hand.ifPresent(h -> rig.moveEnd(job, h.run(), h.to()));
    }

    private static long id(Step step) {
        return step.device().orElseThrow().value();
    }

    private static Device device(Jobs.Stored stored, Step step) {
        return stored.job().device(step.device().orElseThrow()).orElseThrow();
    }

    /** What a person sees at the device is the reason, where it refused. */
    private static void seen(RigBodies.Seen seen) {
        if (seen.refused()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "hand-refused",
                    Words.say("hands.at-device", Map.of("sees", seen.says())));
        }
    }

    /** One without a network has no step of its own for its lead: it goes in as well. */
    private void reach(long job, Device device) {
        long id = device.id().value();
        if (!device.addressed()) {
            rig.plug(job, id, true, true);
        }
        rig.act(job, id, "devices", "in-reach");
    }

    /** Its lead goes in where the port is off, so that it waits its turn. */
    private void plugOff(Jobs.Stored stored, Device device) {
        port(stored, device, false);
        rig.plug(stored.id(), device.id().value(), true, false);
    }

    private void port(Jobs.Stored stored, Device device, boolean on) {
        Cabling cabling = Cabling.of(stored.job());
        Optional<Link.Plug> port =
                cabling.at(device.id(), Signal.NETWORK)
                        .map(l -> l.beyond(device.id()))
                        .filter(p -> p.device().profile().kind() == DeviceKind.NETWORK_SWITCH)
                        .findFirst();
        port.ifPresent(p -> rig.port(stored.id(), p.device().id().value(), p.socket().name(), on));
        if (on && port.isEmpty()) {
            rig.plug(stored.id(), device.id().value(), true, false);
        }
    }

    /** To the newest that any controller asks of it. */
    private void update(Jobs.Stored stored, Device device) {
        List<FirmwareFloor> floors =
                device.profile().firmware().map(Firmware::floors).orElse(List.of());
        String version =
                floors.stream()
                        .map(FirmwareFloor::least)
                        .max(Comparator.comparing(t -> Version.parse(t).orElseThrow()))
                        .orElse(device.profile().firmware().map(Firmware::shipped).orElse(""));
        seen(rig.hand(stored.id(), device.id().value(), "update", new RigBodies.Update(version)));
    }

    private void lease(Jobs.Stored stored, Device device) {
        seen(rig.hand(stored.id(), device.id().value(), "lease", new RigBodies.On(true)));
        if (rig.settings(stored.id(), device.id().value()).known().isEmpty()) {
            throw noLease(device.name());
        }
    }

    private static Problem noLease(String device) {
        return new Problem(
                HttpStatus.CONFLICT,
                "no-lease",
                Words.say("refused.no-lease", Map.of("device", device)));
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
