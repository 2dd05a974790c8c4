package app.jerboa.core.job.bringup;

import static app.jerboa.core.job.bringup.Action.Kind.ADDRESS;
import static app.jerboa.core.job.bringup.Action.Kind.ASK_FACTORY;
import static app.jerboa.core.job.bringup.Action.Kind.ASK_PLANNED;
import static app.jerboa.core.job.bringup.Action.Kind.CHANGE_PASSWORD;
import static app.jerboa.core.job.bringup.Action.Kind.DISCONNECT_FIRST;
import static app.jerboa.core.job.bringup.Action.Kind.FIND_LEASE;
import static app.jerboa.core.job.bringup.Action.Kind.FIND_LINK_LOCAL;
import static app.jerboa.core.job.bringup.Action.Kind.FIT_OPTION;
import static app.jerboa.core.job.bringup.Action.Kind.GATEWAY;
import static app.jerboa.core.job.bringup.Action.Kind.IF_NOT_LET_IN;
import static app.jerboa.core.job.bringup.Action.Kind.INTO_PORT;
import static app.jerboa.core.job.bringup.Action.Kind.LEASE_BY_SEARCH;
import static app.jerboa.core.job.bringup.Action.Kind.LEASE_OFF;
import static app.jerboa.core.job.bringup.Action.Kind.LINK_MODE;
import static app.jerboa.core.job.bringup.Action.Kind.LINK_TO;
import static app.jerboa.core.job.bringup.Action.Kind.LOAD_FIRMWARE;
import static app.jerboa.core.job.bringup.Action.Kind.LOG_IN_FACTORY;
import static app.jerboa.core.job.bringup.Action.Kind.LOG_IN_OPEN;
import static app.jerboa.core.job.bringup.Action.Kind.LOG_IN_PRINTED;
import static app.jerboa.core.job.bringup.Action.Kind.MASK;
import static app.jerboa.core.job.bringup.Action.Kind.NOTE_FIRMWARE;
import static app.jerboa.core.job.bringup.Action.Kind.READ_CODE;
import static app.jerboa.core.job.bringup.Action.Kind.RECHECK_AFTER_UPDATE;
import static app.jerboa.core.job.bringup.Action.Kind.REMOTE_ON;
import static app.jerboa.core.job.bringup.Action.Kind.RESERVE;
import static app.jerboa.core.job.bringup.Action.Kind.RESET_ALL;
import static app.jerboa.core.job.bringup.Action.Kind.RESET_NETWORK;
import static app.jerboa.core.job.bringup.Action.Kind.SAVE_RESTART;
import static app.jerboa.core.job.bringup.Action.Kind.SEARCH_FOR;
import static app.jerboa.core.job.bringup.Action.Kind.SERVICE_MENU;
import static app.jerboa.core.job.bringup.Action.Kind.SET_CLOCK;
import static app.jerboa.core.job.bringup.Action.Kind.SET_FIRST_LOGIN;
import static app.jerboa.core.job.bringup.Action.Kind.STAY_ON_LEASE;
import static app.jerboa.core.job.bringup.Action.Kind.SWITCH_TO_LEASE;
import static app.jerboa.core.job.bringup.Action.Kind.TYPE_CODE;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.kit.FirmwareNeed;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.FactoryMode;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.core.profile.Recovery;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is done to a device on the way from its first power to its planned address. */
final class NetworkActions {
    private final Hall hall;
    private final Device device;
    private final Optional<Access> access;
    private final List<Action> actions = new ArrayList<>();

    private NetworkActions(Hall hall, Device device) {
        this.hall = hall;
        this.device = device;
        this.access = device.profile().access();
    }

    /** Connect: what must be fitted, what it would fight with, which port. */
    static List<Action> plug(Hall hall, Device device) {
        return new NetworkActions(hall, device).plug();
    }

    private List<Action> plug() {
        device.profile()
                .network()
                .map(Network::needs)
                .filter(n -> !n.isEmpty())
                .ifPresent(n -> actions.add(Action.of(FIT_OPTION, n)));
        Optional<Ipv4> start = NewDevices.start(device).map(FactoryAddress::address);
        hall.job().devices().stream()
                .filter(d -> d.set() && d.address().equals(start))
                .forEach(d -> actions.add(Action.about(DISCONNECT_FIRST, d)));
        hall.cabling()
                .at(device.id(), Signal.NETWORK)
                .map(l -> l.beyond(device.id()).toString())
                .findFirst()
                .ifPresent(port -> actions.add(Action.of(INTO_PORT, port)));
        return actions;
    }

    static List<Action> see(Device device) {
        Optional<FactoryAddress> start = NewDevices.start(device);
        if (start.isPresent()) {
            return List.of(Action.of(ASK_FACTORY, start.get().address().toString()));
        }
        boolean own =
                device.profile()
                        .network()
                        .filter(n -> n.starts() == FactoryMode.LINK_LOCAL)
                        .isPresent();
        return List.of(Action.of(own ? FIND_LINK_LOCAL : FIND_LEASE, device.mac()));
    }

    static List<Action> reset(Device device) {
        List<Action> ways = new ArrayList<>();
        Optional<Recovery> recovery = device.profile().recovery();
        recovery.map(Recovery::networkReset)
                .filter(r -> !r.isEmpty())
                .ifPresent(r -> ways.add(Action.of(RESET_NETWORK).with("how", r)));
        ways.add(
                Action.of(RESET_ALL)
                        .with("how", recovery.map(Recovery::reset).orElse("as its manual says")));
        return ways;
    }

    static List<Action> update(Hall hall, Device device) {
        String least =
                hall.cabling()
                        .line(device.id())
                        .flatMap(l -> FirmwareNeed.of(l, hall.cabling().kit()))
                        .map(FirmwareNeed::least)
                        .orElse("");
        return List.of(Action.of(LOAD_FIRMWARE, least).with("found", device.firmware()));
    }

    static List<Action> lease() {
        return List.of(Action.of(SWITCH_TO_LEASE));
    }

    static List<Action> search(Device device) {
        return List.of(Action.of(SEARCH_FOR, device.mac()), Action.of(LEASE_BY_SEARCH));
    }

    static List<Action> pair(Device device) {
        return List.of(Action.of(READ_CODE), Action.of(TYPE_CODE, device.name()));
    }

    /** Log in and set, in the order a device asks for it. */
    static List<Action> set(Hall hall, Device device) {
        return new NetworkActions(hall, device).set();
    }

    private List<Action> set() {
        access.ifPresent(this::logIn);
        if (device.profile().sort() == Sort.PAINT_PANEL) {
            panel();
        } else {
            access.map(Access::remoteAt)
                    .filter(a -> !a.isEmpty())
                    .ifPresent(a -> actions.add(Action.of(REMOTE_ON).with("at", a)));
        }
        if (device.reserved()) {
            actions.add(Action.of(RESERVE, planned()).with("mac", device.mac()));
            actions.add(Action.of(STAY_ON_LEASE));
        } else {
            fixedAddress();
        }
        actions.add(Action.of(SAVE_RESTART));
        access.filter(a -> a.password() != PasswordRule.NONE)
                .flatMap(a -> device.profile().recovery())
                .map(Recovery::lostPassword)
                .filter(way -> !way.isEmpty())
                .ifPresent(way -> actions.add(Action.of(IF_NOT_LET_IN).with("how", way)));
        return actions;
    }

    private void logIn(Access a) {
        switch (a.password()) {
            case NONE -> actions.add(Action.of(LOG_IN_OPEN));
            case FACTORY -> actions.add(Action.of(LOG_IN_FACTORY, a.user()));
            case PRINTED -> actions.add(Action.of(LOG_IN_PRINTED, a.user()));
            case SET_AT_FIRST_LOGIN ->
                    actions.add(
                            Action.of(SET_FIRST_LOGIN, a.user()).with(hall.password(device.id())));
        }
        boolean keeps =
                a.password() == PasswordRule.FACTORY || a.password() == PasswordRule.PRINTED;
        if (keeps) {
            actions.add(Action.of(CHANGE_PASSWORD).with(hall.password(device.id())));
        }
        if (a.asksClock()) {
            actions.add(Action.of(SET_CLOCK));
        }
    }

    /** A paint panel's link is chosen in its service menu; one to one it is told its camera. */
    private void panel() {
        access.map(Access::remoteAt)
                .filter(a -> !a.isEmpty())
                .ifPresent(
                        a -> {
                            actions.add(Action.of(SERVICE_MENU).with("at", a));
                            actions.add(Action.of(LINK_MODE).with("at", a));
                        });
        for (Line line : hall.keyed(device.id())) {
            Device camera = hall.device(line.camera());
            camera.address()
                    .ifPresent(
                            to ->
                                    actions.add(
                                            Action.of(LINK_TO, to.toString())
                                                    .with("device", camera.name())));
        }
    }

    private void fixedAddress() {
        boolean leases =
                device.profile()
                        .network()
                        .filter(n -> n.starts() != FactoryMode.FIXED || n.leaseToggle())
                        .isPresent();
        if (leases) {
            actions.add(Action.of(LEASE_OFF));
        }
        actions.add(Action.of(ADDRESS, planned()));
        device.address()
                .map(a -> Ipv4Subnet.of(a, device.prefix()).mask().toString())
                .ifPresent(m -> actions.add(Action.of(MASK, m)));
        device.gateway().ifPresent(g -> actions.add(Action.of(GATEWAY, g.toString())));
    }

    private String planned() {
        return device.address().map(Ipv4::toString).orElse("");
    }

    static List<Action> verify(Device device) {
        List<Action> actions = new ArrayList<>();
        actions.add(Action.of(ASK_PLANNED, device.address().map(Ipv4::toString).orElse("")));
        device.profile()
                .firmware()
                .ifPresent(
                        f -> {
                            actions.add(Action.of(NOTE_FIRMWARE).with("shipped", f.shipped()));
                            if (f.updateResets()) {
                                actions.add(Action.of(RECHECK_AFTER_UPDATE));
                            }
                        });
        return actions;
    }

    static List<Action> label(Hall hall, Device device) {
        String line =
                hall.cabling()
                        .line(device.id())
                        .map(hall.job()::label)
                        .map(l -> l + " ")
                        .orElse("");
        String address = device.address().map(Ipv4::toString).orElse("");
        String name = line.strip().equals(device.name()) ? "" : line;
        return List.of(Action.of(Action.Kind.LABEL_TEXT, name + device.name() + " " + address));
    }
}
