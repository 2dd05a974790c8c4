package app.jerboa.standin.control;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HandRules;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.fault.Fault;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.lan.Truth;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Everything that can be asked of halls, in one list: served, and written down, from here. */
final class Routes {
    private final Rig rig;
    private final RouteList to;

    Routes(Rig rig) {
        this.rig = rig;
        this.to = new RouteList(rig);
        world();
        halls();
        HandRoutes.addTo(to);
        faults();
    }

    List<Route<?>> all() {
        return to.all();
    }

    private void world() {
        to.add(
                "GET",
                "/health",
                Void.class,
                Bodies.Health.class,
                "Whether the rig answers",
                (p, b) -> new Bodies.Health("UP"));
        to.add(
                "GET",
                "/clock",
                Void.class,
                Bodies.ClockBody.class,
                "The clock of all halls",
                (p, b) -> Bodies.ClockBody.of(rig.clock(), rig.now()));
        to.add(
                "PUT",
                "/clock",
                Bodies.Speed.class,
                Bodies.ClockBody.class,
                "Sets its pace, 0.1 to 1000 times the wall clock's",
                (p, b) -> {
                    rig.setSpeed(b.speed());
                    return Bodies.ClockBody.of(rig.clock(), rig.now());
                });
    }

    private void halls() {
        to.add(
                "PUT",
                "/halls/{hall}",
                Bodies.Furnish.class,
                Bodies.HallBody.class,
                "Builds the hall of a job file, or adapts it: what is new comes from its box",
                (p, b) -> {
                    Hall hall = rig.furnish(p.get("hall"), b.job());
                    hall.keyed(b.passwords() == null ? Map.of() : b.passwords());
                    return Bodies.HallBody.of(hall);
                });
        to.add(
                "GET",
                "/halls/{hall}",
                Void.class,
                Bodies.HallBody.class,
                "Devices and laptop as a person would see them",
                (p, b) -> Bodies.HallBody.of(rig.needHall(p.get("hall"))));
        to.hand(
                "begin",
                Bodies.Begin.class,
                "Begins anew: unplugged, or as-planned with everything set, entered and plugged",
                (hall, p, b) -> hall.begin(b.how()));
        to.add(
                "GET",
                "/halls/{hall}/truth",
                Void.class,
                Truth.class,
                "What everything really is set to, and who really reaches whom",
                (p, b) -> Truth.of(rig.needHall(p.get("hall"))));
        to.add(
                "GET",
                "/halls/{hall}/leases",
                Void.class,
                Bodies.Leases.class,
                "The router's own list of what it lent, by device",
                (p, b) -> new Bodies.Leases(rig.needHall(p.get("hall")).leases()));
        to.add(
                "GET",
                "/halls/{hall}/snapshot",
                Void.class,
                Bodies.Snapshot.class,
                "All that the hall keeps, without passwords",
                (p, b) ->
                        new Bodies.Snapshot(
                                rig.needFile(p.get("hall")), rig.needHall(p.get("hall")).state()));
        to.add(
                "PUT",
                "/halls/{hall}/snapshot",
                Bodies.Snapshot.class,
                Bodies.HallBody.class,
                "Puts the hall as a snapshot has it",
                (p, b) -> {
                    Hall hall = rig.furnish(p.get("hall"), b.job());
                    hall.restore(b.state());
                    return Bodies.HallBody.of(hall);
                });
        to.add(
                "GET",
                "/halls/{hall}/reach/{address}",
                Void.class,
                Bodies.Reach.class,
                "Who answers to an address from the laptop, and on which loopback ports",
                (p, b) ->
                        Bodies.Reach.of(rig.needHall(p.get("hall")), Ipv4.parse(p.get("address"))));
        to.hand(
                "reach/{address}/network",
                NetworkSettings.class,
                "Gives other settings to the one device that answers there, at its own page",
                (hall, p, b) -> {
                    RigDevice only = Rig.only(hall, Ipv4.parse(p.get("address")));
                    page(hall, only.plan().id(), b);
                });
    }

    /** First login, remote control, settings: as a technician goes through a page. */
    private static void page(Hall hall, DeviceId id, NetworkSettings settings) {
        refuse(hall.hand(id, new Hand.Login(true, true)));
        refuse(hall.hand(id, new Hand.Remote(true)));
        refuse(hall.hand(id, new Hand.Save(settings, Optional.empty())));
    }

    private static void refuse(HandRules.After after) {
        if (after.refused()) {
            throw new IllegalStateException(after.says());
        }
    }

    private void faults() {
        to.add(
                "POST",
                "/halls/{hall}/faults",
                Bodies.Seed.class,
                Bodies.Count.class,
                "Puts so many faults into the hall, by a seed; says how many, not which",
                (p, b) ->
                        new Bodies.Count(
                                new Faults(rig.needHall(p.get("hall")))
                                        .seeded(b.seed(), b.count())
                                        .size()));
        to.add(
                "PUT",
                "/halls/{hall}/faults/{fault}",
                Bodies.Target.class,
                Bodies.FaultPut.class,
                "Puts one fault at a device or a run",
                (p, b) -> {
                    Fault fault =
                            Fault.named(p.get("fault"))
                                    .orElseThrow(() -> new Rig.Missing("no such fault"));
                    return new Bodies.FaultPut(
                            new Faults(rig.needHall(p.get("hall")))
                                    .put(fault, b.target(), new Random(b.seed())));
                });
    }
}
