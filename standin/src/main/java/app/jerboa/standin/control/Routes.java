package app.jerboa.standin.control;

import app.jerboa.core.job.Run;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HandRules;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.fault.Fault;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.Port;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.lan.Sticks;
import app.jerboa.standin.lan.Truth;
import app.jerboa.standin.picture.Switcher;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiConsumer;
import java.util.function.Function;

/** Everything that a hand can do in a hall, in one list: served, and written down, from here. */
final class Routes {
    private static final int LONGEST_ANNOUNCED = 3_600;

    private final Rig rig;
    private final List<Route<?>> all = new ArrayList<>();

    Routes(Rig rig) {
        this.rig = rig;
        world();
        halls();
        laptop();
        leads();
        devices();
        controllers();
        faults();
    }

    List<Route<?>> all() {
        return List.copyOf(all);
    }

    private <B> void add(
            String method,
            String path,
            Class<B> takes,
            Class<?> gives,
            String does,
            Route.Does<B> by) {
        all.add(new Route<>(method, path, takes, gives, does, by));
    }

    /** A hand that is answered with the hall as it is afterwards. */
    private <B> void hand(String path, Class<B> takes, String does, Acts<B> by) {
        String method = takes == Void.class ? "POST" : "PUT";
        add(
                method,
                "/halls/{hall}/" + path,
                takes,
                Bodies.HallBody.class,
                does,
                (parts, body) -> {
                    Hall hall = rig.needHall(parts.get("hall"));
                    by.act(hall, parts, body);
                    return Bodies.HallBody.of(hall);
                });
    }

    /** Does something in a hall. */
    private interface Acts<B> {
        void act(Hall hall, Map<String, String> parts, B body);
    }

    private static DeviceId device(Map<String, String> parts) {
        return new DeviceId(number(parts.get("device")));
    }

    private static long number(String text) {
        if (!text.matches("\\d{1,18}")) {
            throw new Rig.Missing("nothing here");
        }
        return Long.parseLong(text);
    }

    private void world() {
        add(
                "GET",
                "/health",
                Void.class,
                Bodies.Health.class,
                "Whether the rig answers",
                (p, b) -> new Bodies.Health("UP"));
        add(
                "GET",
                "/clock",
                Void.class,
                Bodies.ClockBody.class,
                "The clock of all halls",
                (p, b) -> Bodies.ClockBody.of(rig.clock(), rig.now()));
        add(
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
        add(
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
        add(
                "GET",
                "/halls/{hall}",
                Void.class,
                Bodies.HallBody.class,
                "Devices and laptop as a person would see them",
                (p, b) -> Bodies.HallBody.of(rig.needHall(p.get("hall"))));
        hand(
                "begin",
                Bodies.Begin.class,
                "Begins anew: unplugged, or as-planned with everything set, entered and plugged",
                (hall, p, b) -> hall.begin(b.how()));
        add(
                "GET",
                "/halls/{hall}/truth",
                Void.class,
                Truth.class,
                "What everything really is set to, and who really reaches whom",
                (p, b) -> Truth.of(rig.needHall(p.get("hall"))));
        add(
                "GET",
                "/halls/{hall}/leases",
                Void.class,
                Bodies.Leases.class,
                "The router's own list of what it lent, by device",
                (p, b) -> new Bodies.Leases(rig.needHall(p.get("hall")).leases()));
        add(
                "GET",
                "/halls/{hall}/snapshot",
                Void.class,
                Bodies.Snapshot.class,
                "All that the hall keeps, without passwords",
                (p, b) ->
                        new Bodies.Snapshot(
                                rig.needFile(p.get("hall")), rig.needHall(p.get("hall")).state()));
        add(
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
        add(
                "GET",
                "/halls/{hall}/reach/{address}",
                Void.class,
                Bodies.Reach.class,
                "Who answers to an address from the laptop, and on which loopback ports",
                (p, b) ->
                        Bodies.Reach.of(rig.needHall(p.get("hall")), Ipv4.parse(p.get("address"))));
        hand(
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

    private void laptop() {
        hand(
                "laptop",
                NetworkSettings.class,
                "Gives the laptop another address in place of all it had",
                (hall, p, b) -> hall.moveLaptop(b));
        hand(
                "laptop/also",
                NetworkSettings.class,
                "Gives the laptop one more address",
                (hall, p, b) -> hall.addToLaptop(b));
        hand(
                "laptop/at",
                Bodies.At.class,
                "Plugs the laptop into a device; without one, wherever most of the hall is",
                (hall, p, b) -> hall.plugLaptop(b.device()));
        hand(
                "laptop/wireless",
                Bodies.On.class,
                "Switches the laptop's wireless on or off",
                (hall, p, b) -> hall.laptopWireless(b.on()));
    }

    private void leads() {
        hand(
                "runs/{run}/plug",
                Bodies.On.class,
                "Plugs one lead in, or pulls it",
                (hall, p, b) -> hall.plugRun(number(p.get("run")), b.on()));
        hand(
                "runs/{run}/end",
                Bodies.End.class,
                "Takes one end of a lead to another socket, or back where it is planned",
                (hall, p, b) ->
                        hall.moveEnd(
                                number(p.get("run")),
                                b.near(),
                                b.device().map(d -> new Run.End(d, b.port(), ""))));
        hand(
                "runs/{run}/fault",
                Bodies.Spoil.class,
                "Spoils a lead, or makes it sound: mis-pinned, crossed, turned, broken, noisy, one-way",
                (hall, p, b) -> hall.spoil(number(p.get("run")), b.fault()));
        hand(
                "devices/{device}/ports/{port}",
                Bodies.PortState.class,
                "Switches a port on or off, or kills it",
                (hall, p, b) -> hall.port(new Port(device(p), p.get("port")), b.state()));
        hand(
                "relay",
                Bodies.On.class,
                "The relay between the two ends of a tunnel",
                (hall, p, b) -> hall.relay(b.on()));
        hand(
                "announcements",
                Bodies.Seconds.class,
                "How often devices announce their addresses, in seconds; 0 for at their start only",
                (hall, p, b) -> {
                    if (b.seconds() < 0 || b.seconds() > LONGEST_ANNOUNCED) {
                        throw new IllegalArgumentException("seconds are 0 to " + LONGEST_ANNOUNCED);
                    }
                    hall.announce(Duration.ofSeconds(b.seconds()));
                });
    }

    private void devices() {
        hand(
                "devices/{device}/plug",
                Bodies.Plug.class,
                "Plugs a device's own leads and its supply, or pulls them",
                (hall, p, b) -> hall.plug(device(p), b.plugged(), b.upstream()));
        hand(
                "devices/{device}/power",
                Bodies.On.class,
                "Switches a supply of its own on or off",
                (hall, p, b) -> hall.power(device(p), b.on()));
        hand(
                "devices/{device}/as-planned",
                Void.class,
                "Sets it as its plan says: address, dials, entries, first login",
                (hall, p, b) -> hall.asPlanned(device(p)));
        hand(
                "devices/{device}/in-reach",
                Void.class,
                "Sets dials and menus as its plan says, balances it and lets its motor find its ends",
                (hall, p, b) -> hall.inReach(device(p)));
        hand(
                "devices/{device}/joined",
                Void.class,
                "Pairs it, joins it, or switches on the relay of its tunnel",
                (hall, p, b) -> hall.join(device(p)));
        hand(
                "devices/{device}/network",
                NetworkSettings.class,
                "Sets its network at its own menu, whatever it shows on its page",
                (hall, p, b) -> hall.atMenu(device(p), b));
        at("reset", Bodies.Reset.class, "Holds its reset", b -> new Hand.Reset(b.networkOnly()));
        at(
                "login",
                Bodies.Login.class,
                "Logs in at its page, with the right password or a wrong one",
                b -> new Hand.Login(b.right(), b.clock()));
        at(
                "remote",
                Bodies.On.class,
                "Allows remote control at its page, or forbids it",
                b -> new Hand.Remote(b.on()));
        at(
                "lease",
                Bodies.On.class,
                "Switches it to a lease at the device, or back",
                b -> new Hand.Lease(b.on()));
        at(
                "dial",
                Bodies.Dial.class,
                "Turns a dial or a menu: number, baud, mode, format, overlay, infrared, snmp",
                b -> new Hand.Turn(b.dial(), b.to()));
        at(
                "infrared",
                Bodies.Infrared.class,
                "Points a hand remote of a number at it",
                b -> new Hand.Infrared(b.number(), b.lease()));
        at(
                "update",
                Bodies.Update.class,
                "Loads other firmware",
                b -> new Hand.Update(b.version()));
        at(
                "balance",
                Bodies.On.class,
                "Balances its head, or knocks it out",
                b -> new Hand.Balance(b.on()));
        at("calibrate", Void.class, "Lets its zoom motor find its ends", b -> new Hand.Calibrate());
        at(
                "save-cut",
                Bodies.SaveCut.class,
                "Cuts its power while it saves: keeps-old or garbage",
                b -> new Hand.Save(b.settings(), Optional.of(b.left())));
        hand(
                "devices/{device}/lent",
                Bodies.Lent.class,
                "Has the house lend it another address",
                (hall, p, b) -> hall.changeLease(device(p), b.address()));
    }

    /** A hand at a device, answered with what a person sees there. */
    private <B> void at(String what, Class<B> takes, String does, Function<B, Hand> hand) {
        add(
                takes == Void.class ? "POST" : "PUT",
                "/halls/{hall}/devices/{device}/" + what,
                takes,
                Bodies.Seen.class,
                does,
                (p, b) ->
                        Bodies.Seen.of(rig.needHall(p.get("hall")).hand(device(p), hand.apply(b))));
    }

    private void controllers() {
        hand(
                "controllers/{device}/keys/{key}",
                Entry.class,
                "Enters a camera under a key, or a stream under a channel",
                (hall, p, b) ->
                        hall.entries(device(p))
                                .orElseThrow(() -> new Rig.Missing("it holds no entries"))
                                .enter((int) number(p.get("key")), Optional.of(b)));
        hand(
                "controllers/{device}/as-planned",
                Void.class,
                "Enters every key as its plan says",
                (hall, p, b) -> hall.enterAsPlanned(device(p)));
        add(
                "DELETE",
                "/halls/{hall}/controllers/{device}/keys/{key}",
                Void.class,
                Bodies.HallBody.class,
                "Takes the entry of a key out",
                (p, b) -> {
                    Hall hall = rig.needHall(p.get("hall"));
                    hall.entries(device(p))
                            .ifPresent(e -> e.enter((int) number(p.get("key")), Optional.empty()));
                    return Bodies.HallBody.of(hall);
                });
        stick(
                "press",
                Bodies.Key.class,
                "Presses a key",
                (s, it) -> s.press(it.at(), it.b().key()));
        stick(
                "stick",
                Bodies.Stick.class,
                "Holds its stick there, -1 to 1 each way; 0 and 0 let go",
                (s, it) -> s.stick(it.at(), it.b().pan(), it.b().tilt()));
        stick(
                "turn",
                Bodies.KnobTurn.class,
                "Turns a knob of the camera on the pressed key",
                (s, it) -> s.turn(it.at(), it.b().knob(), it.b().value()));
        hand(
                "switchers/{device}",
                Bodies.Cut.class,
                "Puts inputs on programme and preview",
                (hall, p, b) -> {
                    Switcher s =
                            hall.switcher(device(p))
                                    .orElseThrow(() -> new Rig.Missing("it is no switcher"));
                    s.programme(b.programme());
                    s.preview(b.preview());
                });
    }

    /** A body, and the controller it is for. */
    private record Held<B>(DeviceId at, B b) {}

    private <B> void stick(
            String what, Class<B> takes, String does, BiConsumer<Sticks, Held<B>> by) {
        hand(
                "controllers/{device}/" + what,
                takes,
                does,
                (hall, p, b) -> by.accept(new Sticks(hall), new Held<>(device(p), b)));
    }

    private void faults() {
        add(
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
        add(
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
