package app.jerboa.standin.control;

import app.jerboa.core.job.Run;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.Port;
import app.jerboa.standin.lan.Sticks;
import app.jerboa.standin.picture.Switcher;
import java.time.Duration;
import java.util.Optional;
import java.util.function.BiConsumer;

/** What hands do at the laptop, at leads, at devices and at controllers. */
final class HandRoutes {
    private static final int LONGEST_ANNOUNCED = 3_600;

    private final RouteList to;

    private HandRoutes(RouteList to) {
        this.to = to;
    }

    static void addTo(RouteList list) {
        HandRoutes hands = new HandRoutes(list);
        hands.laptop();
        hands.leads();
        hands.devices();
        hands.controllers();
    }

    private void laptop() {
        to.hand(
                "laptop",
                NetworkSettings.class,
                "Gives the laptop another address in place of all it had",
                (hall, p, b) -> hall.moveLaptop(b));
        to.hand(
                "laptop/also",
                NetworkSettings.class,
                "Gives the laptop one more address",
                (hall, p, b) -> hall.addToLaptop(b));
        to.hand(
                "laptop/at",
                Bodies.At.class,
                "Plugs the laptop into a device; without one, wherever most of the hall is",
                (hall, p, b) -> hall.plugLaptop(b.device()));
        to.hand(
                "laptop/wireless",
                Bodies.On.class,
                "Switches the laptop's wireless on or off",
                (hall, p, b) -> hall.laptopWireless(b.on()));
    }

    private void leads() {
        to.hand(
                "runs/{run}/plug",
                Bodies.On.class,
                "Plugs one lead in, or pulls it",
                (hall, p, b) -> hall.plugRun(RouteList.number(p.get("run")), b.on()));
        to.hand(
                "runs/{run}/end",
                Bodies.End.class,
                "Takes one end of a lead to another socket, or back where it is planned",
                (hall, p, b) ->
                        hall.moveEnd(
                                RouteList.number(p.get("run")),
                                b.near(),
                                b.device().map(d -> new Run.End(d, b.port(), ""))));
        to.hand(
                "runs/{run}/fault",
                Bodies.Spoil.class,
                "Spoils a lead, or makes it sound: mis-pinned, crossed, turned, broken, noisy, one-way",
                (hall, p, b) -> hall.spoil(RouteList.number(p.get("run")), b.fault()));
        to.hand(
                "devices/{device}/ports/{port}",
                Bodies.PortState.class,
                "Switches a port on or off, or kills it",
                (hall, p, b) -> hall.port(new Port(RouteList.device(p), p.get("port")), b.state()));
        to.hand(
                "relay",
                Bodies.On.class,
                "The relay between the two ends of a tunnel",
                (hall, p, b) -> hall.relay(b.on()));
        to.hand(
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
        to.add(
                "DELETE",
                "/halls/{hall}/house-gear",
                Void.class,
                Bodies.HallBody.class,
                "Unplugs what the house had on the network, that no plan knows",
                (p, b) -> {
                    Hall hall = to.rig().needHall(p.get("hall"));
                    hall.clearHouse();
                    return Bodies.HallBody.of(hall);
                });
        to.hand(
                "devices/{device}/plug",
                Bodies.Plug.class,
                "Plugs a device's own leads and its supply, or pulls them",
                (hall, p, b) -> hall.plug(RouteList.device(p), b.plugged(), b.upstream()));
        to.hand(
                "devices/{device}/power",
                Bodies.On.class,
                "Switches a supply of its own on or off",
                (hall, p, b) -> hall.power(RouteList.device(p), b.on()));
        to.hand(
                "devices/{device}/as-planned",
                Void.class,
                "Sets it as its plan says: address, dials, entries, first login",
                (hall, p, b) -> hall.asPlanned(RouteList.device(p)));
        to.hand(
                "devices/{device}/in-reach",
                Void.class,
                "Sets dials and menus as its plan says, balances it and lets its motor find its ends",
                (hall, p, b) -> hall.inReach(RouteList.device(p)));
        to.hand(
                "devices/{device}/joined",
                Void.class,
                "Pairs it, joins it, or switches on the relay of its tunnel",
                (hall, p, b) -> hall.join(RouteList.device(p)));
        to.hand(
                "devices/{device}/network",
                NetworkSettings.class,
                "Sets its network at its own menu, whatever it shows on its page",
                (hall, p, b) -> hall.atMenu(RouteList.device(p), b));
        to.at("reset", Bodies.Reset.class, "Holds its reset", b -> new Hand.Reset(b.networkOnly()));
        to.at(
                "login",
                Bodies.Login.class,
                "Logs in at its page, with the right password or a wrong one",
                b -> new Hand.Login(b.right(), b.clock()));
        to.at(
                "remote",
                Bodies.On.class,
                "Allows remote control at its page, or forbids it",
                b -> new Hand.Remote(b.on()));
        to.at(
                "lease",
                Bodies.On.class,
                "Switches it to a lease at the device, or back",
                b -> new Hand.Lease(b.on()));
        to.at(
                "dial",
                Bodies.Dial.class,
                "Turns a dial or a menu: number, baud, mode, format, overlay, infrared, snmp",
                b -> new Hand.Turn(b.dial(), b.to()));
        to.at(
                "infrared",
                Bodies.Infrared.class,
                "Points a hand remote of a number at it",
                b -> new Hand.Infrared(b.number(), b.lease()));
        to.at(
                "update",
                Bodies.Update.class,
                "Loads other firmware",
                b -> new Hand.Update(b.version()));
        to.at(
                "balance",
                Bodies.On.class,
                "Balances its head, or knocks it out",
                b -> new Hand.Balance(b.on()));
        to.at(
                "calibrate",
                Void.class,
                "Lets its zoom motor find its ends",
                b -> new Hand.Calibrate());
        to.at(
                "save-cut",
                Bodies.SaveCut.class,
                "Cuts its power while it saves: keeps-old or garbage",
                b -> new Hand.Save(b.settings(), Optional.of(b.left())));
        to.hand(
                "devices/{device}/lent",
                Bodies.Lent.class,
                "Has the house lend it another address",
                (hall, p, b) -> hall.changeLease(RouteList.device(p), b.address()));
    }

    private void controllers() {
        to.hand(
                "controllers/{device}/keys/{key}",
                Entry.class,
                "Enters a camera under a key, or a stream under a channel",
                (hall, p, b) ->
                        hall.entries(RouteList.device(p))
                                .orElseThrow(() -> new Rig.Missing("it holds no entries"))
                                .enter((int) RouteList.number(p.get("key")), Optional.of(b)));
        to.hand(
                "controllers/{device}/as-planned",
                Void.class,
                "Enters every key as its plan says",
                (hall, p, b) -> hall.enterAsPlanned(RouteList.device(p)));
        to.add(
                "DELETE",
                "/halls/{hall}/controllers/{device}/keys/{key}",
                Void.class,
                Bodies.HallBody.class,
                "Takes the entry of a key out",
                (p, b) -> {
                    Hall hall = to.rig().needHall(p.get("hall"));
                    hall.entries(RouteList.device(p))
                            .ifPresent(
                                    e ->
                                            e.enter(
                                                    (int) RouteList.number(p.get("key")),
                                                    Optional.empty()));
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
        to.hand(
                "switchers/{device}",
                Bodies.Cut.class,
                "Puts inputs on programme and preview",
                (hall, p, b) -> {
                    Switcher s =
                            hall.switcher(RouteList.device(p))
                                    .orElseThrow(() -> new Rig.Missing("it is no switcher"));
                    s.programme(b.programme());
                    s.preview(b.preview());
                });
    }

    /** A body, and the controller it is for. */
    private record Held<B>(DeviceId at, B b) {}

    private <B> void stick(
            String what, Class<B> takes, String does, BiConsumer<Sticks, Held<B>> by) {
        to.hand(
                "controllers/{device}/" + what,
                takes,
                does,
                (hall, p, b) -> by.accept(new Sticks(hall), new Held<>(RouteList.device(p), b)));
    }
}
