package app.jerboa.standin.fault;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.controller.Entries;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.Port;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.lan.RunFault;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Puts faults into a hall, where they can be. The same seed puts the same ones there. */
public final class Faults {
    /**
     * One that is in a hall.
     *
     * @param target a device or a run, by its id
     * @param words what is wrong, for who may know
     */
    public record Put(Fault fault, long target, String words) {}

    /** How one kind is put there. */
    private interface Way {
        /** Devices or runs that can have it, in their order. */
        List<Long> targets();

        String put(long target, Random random);
    }

    private final Hall hall;
    private final Map<Fault, Way> ways = new EnumMap<>(Fault.class);

    public Faults(Hall hall) {
        this.hall = hall;
        network();
        power();
        settings();
        serial();
        controllers();
        pictures();
    }

    /**
     * @param count of faults, each of another kind and at another target as far as they go
     */
    public List<Put> seeded(long seed, int count) {
        Random random = new Random(seed);
        List<Fault> kinds = new ArrayList<>(List.of(Fault.values()));
        Collections.shuffle(kinds, random);
        List<Put> put = new ArrayList<>();
        for (Fault kind : kinds) {
            List<Long> free =
                    ways.get(kind).targets().stream()
                            .filter(t -> put.stream().noneMatch(p -> p.target() == t))
                            .toList();
            if (put.size() < count && !free.isEmpty()) {
                put.add(put(kind, free.get(random.nextInt(free.size())), random));
            }
        }
        return put;
    }

    /**
     * @throws IllegalArgumentException where that cannot be
     */
    public Put put(Fault kind, long target, Random random) {
        if (!ways.get(kind).targets().contains(target)) {
            throw new IllegalArgumentException("\"" + kind + "\" cannot be there");
        }
        Put put = new Put(kind, target, ways.get(kind).put(target, random));
        hall.note(put);
        return put;
    }

    private List<Long> devices(Predicate<RigDevice> of) {
        return hall.devices().stream().filter(of).map(d -> d.plan().id().value()).toList();
    }

    private List<Long> runs(Predicate<Link> of) {
        return hall.leads().stream().filter(of).map(l -> l.run().id()).toList();
    }

    private RigDevice at(long device) {
        return hall.need(new DeviceId(device));
    }

    private Link lead(long run) {
        return hall.leads().stream().filter(l -> l.run().id() == run).findFirst().orElseThrow();
    }

    private void way(Fault fault, List<Long> targets, LongFunction<String> put) {
        way(fault, targets, (t, random) -> put.apply(t));
    }

    /** Puts one at a target. */
    private interface Putting {
        String at(long target, Random random);
    }

    private void way(Fault fault, List<Long> targets, Putting put) {
        ways.put(
                fault,
                new Way() {
                    @Override
                    public List<Long> targets() {
                        return targets;
                    }

                    @Override
                    public String put(long target, Random random) {
                        return put.at(target, random);
                    }
                });
    }

    private void network() {
        way(Fault.RIVAL_PLUGGED, devices(d -> rival(d).isPresent()), this::rivals);
        way(
                Fault.MIS_PINNED,
                runs(l -> l.signal() == Signal.NETWORK),
                run -> spoiled(run, RunFault.MIS_PINNED));
        way(Fault.DEAD_PORT, runs(l -> switchEnd(l).isPresent()), this::dead);
        way(
                Fault.WIRELESS_FALL_BACK,
                runs(l -> l.signal() == Signal.NETWORK && byAir(l)),
                run -> {
                    hall.plugRun(run, false);
                    return "its wire is pulled";
                });
        way(
                Fault.HOUSE_GEAR,
                devices(d -> d.profile().factory().isPresent()),
                device -> {
                    hall.stranger(at(device).profile().factory().orElseThrow());
                    return "the house has something on "
                            + at(device).profile().factory().orElseThrow().address();
                });
        way(Fault.LEASE_CHANGED, devices(d -> d.condition().leases()), this::otherLease);
    }

    private Optional<RigDevice> rival(RigDevice d) {
        return hall.devices().stream()
                .filter(o -> o != d && o.profile().factory().isPresent())
                .filter(o -> o.profile().factory().equals(d.profile().factory()))
                .findFirst();
    }

    private String rivals(long device) {
        RigDevice other = rival(at(device)).orElseThrow();
        for (DeviceId id : List.of(new DeviceId(device), other.plan().id())) {
            hall.plug(id, true, false);
            hall.hand(id, new Hand.Reset(true));
        }
        return "it and " + other.name() + " are on one factory address";
    }

    private static Optional<Link.Plug> switchEnd(Link l) {
        return Stream.of(l.from(), l.to())
                .filter(e -> e.device().profile().kind() == DeviceKind.NETWORK_SWITCH)
                .filter(e -> l.signal() == Signal.NETWORK)
                .findFirst();
    }

    private String dead(long run) {
        Link.Plug end = switchEnd(lead(run)).orElseThrow();
        hall.port(new Port(end.device().id(), end.socket().name()), Port.State.DEAD);
        return end + " is dead";
    }

    private static boolean byAir(Link l) {
        return Stream.of(l.from(), l.to())
                .flatMap(e -> e.device().profile().network().stream())
                .anyMatch(n -> n.medium() == Medium.EITHER && n.changeOverSeconds().isPresent());
    }

    private String spoiled(long run, RunFault fault) {
        hall.spoil(run, Optional.of(fault));
        return "its lead is " + fault;
    }

    private String otherLease(long device) {
        Ipv4 now = at(device).settings().address();
        Ipv4 next = now.bits() == 0 ? now : now.plus(1);
        while (next.bits() != 0 && taken(next)) {
            next = next.plus(1);
        }
        hall.changeLease(new DeviceId(device), next);
        return "the house lends it " + next;
    }

    private boolean taken(Ipv4 address) {
        return hall.devices().stream().anyMatch(d -> d.settings().address().equals(address));
    }

    private void power() {
        way(
                Fault.BUDGET_SPENT,
                devices(
                        d ->
                                d.profile()
                                        .gives()
                                        .filter(g -> g.poePorts() > 0 && g.budgetWatts() > 0)
                                        .isPresent()),
                device -> {
                    double most = at(device).profile().gives().orElseThrow().budgetWatts();
                    hall.spend(new DeviceId(device), most / 2);
                    return "something else takes half of its watts";
                });
        way(
                Fault.UNBALANCED,
                devices(d -> d.profile().head().isPresent()),
                device -> {
                    hall.hand(new DeviceId(device), new Hand.Balance(false));
                    return "its head tips over";
                });
    }

    private void settings() {
        way(
                Fault.WRONG_PASSWORD,
                devices(d -> d.profile().access().isPresent()),
                device -> {
                    hall.strange(new DeviceId(device));
                    return "its password is one that nobody noted";
                });
        Predicate<RigDevice> fixed = d -> d.profile().factory().isPresent();
        way(Fault.CUT_DURING_SAVE, devices(fixed), this::cut);
        way(
                Fault.ADDRESS_LOST,
                devices(
                        fixed.and(
                                d ->
                                        d.profile()
                                                .firmware()
                                                .filter(f -> f.updateResets())
                                                .isPresent())),
                device -> {
                    hall.hand(new DeviceId(device), new Hand.Reset(true));
                    return "an update put its factory address back";
                });
    }

    private String cut(long device) {
        hall.hand(new DeviceId(device), new Hand.Reset(true));
        return "the power went while it saved: it is on its factory address";
    }

    private void serial() {
        way(
                Fault.CROSSED,
                runs(l -> l.signal() == Signal.RS_485 || l.signal() == Signal.RS_422),
                run -> spoiled(run, RunFault.CROSSED));
        way(
                Fault.BROKEN_CHAIN,
                runs(l -> l.signal() == Signal.RS_232),
                run -> spoiled(run, RunFault.BROKEN));
        way(
                Fault.WRONG_BAUD,
                devices(
                        d ->
                                d.profile().kind() == DeviceKind.CAMERA
                                        && d.profile()
                                                .serial()
                                                .filter(s -> s.bauds().size() > 1)
                                                .isPresent()
                                        && onLead(d)),
                device -> {
                    RigDevice d = at(device);
                    int other =
                            d.profile().serial().orElseThrow().bauds().stream()
                                    .filter(b -> b != d.baud())
                                    .findFirst()
                                    .orElseThrow();
                    hall.hand(new DeviceId(device), new Hand.Turn("baud", "" + other));
                    return "its rate is " + other;
                });
        way(Fault.SAME_ID, devices(d -> neighbour(d).isPresent()), this::sameId);
    }

    private boolean onLead(RigDevice d) {
        return hall.leads().stream()
                .anyMatch(
                        l ->
                                l.signal().serial()
                                        && (l.from().of(d.plan().id())
                                                || l.to().of(d.plan().id())));
    }

    /** Another camera beside it on a serial lead. */
    private Optional<RigDevice> neighbour(RigDevice d) {
        DeviceId id = d.plan().id();
        return hall.leads().stream()
                .filter(l -> l.signal().serial() && (l.from().of(id) || l.to().of(id)))
                .map(l -> l.beyond(id).device())
                .filter(o -> o.profile().kind() == DeviceKind.CAMERA)
                .filter(o -> d.profile().kind() == DeviceKind.CAMERA)
                .map(o -> hall.need(o.id()))
                .findFirst();
    }

    private String sameId(long device) {
        RigDevice other = neighbour(at(device)).orElseThrow();
        int number = other.condition().dials().number();
        hall.hand(new DeviceId(device), new Hand.Turn("number", "" + number));
        return "it answers to " + number + ", as " + other.name() + " does";
    }

    private void controllers() {
        List<Long> holding =
                devices(
                        d ->
                                hall.entries(d.plan().id())
                                        .filter(e -> e.entered().size() > 0)
                                        .filter(e -> d.profile().keys().isPresent())
                                        .isPresent());
        way(Fault.WRONG_MODE, holding, this::wrongMode);
        way(
                Fault.WRONG_KEY,
                holding.stream().filter(d -> entries(d).entered().size() > 1 || counts(d)).toList(),
                this::wrongKey);
    }

    private Entries entries(long controller) {
        return hall.entries(new DeviceId(controller)).orElseThrow();
    }

    private boolean counts(long controller) {
        return at(controller).profile().keys().filter(k -> k.counting()).isPresent();
    }

    private int pick(long controller, Random random) {
        List<Integer> keys = List.copyOf(entries(controller).entered().keySet());
        return keys.get(random.nextInt(keys.size()));
    }

    private String wrongMode(long controller, Random random) {
        int key = pick(controller, random);
        Entry now = entries(controller).of(key).orElseThrow();
        Protocol other = now.protocol() == Protocol.VISCA_IP ? Protocol.VISCA_UDP : Protocol.ONVIF;
        entries(controller)
                .enter(
                        key,
                        Optional.of(
                                new Entry(
                                        now.address(),
                                        now.port(),
                                        other,
                                        now.number(),
                                        now.name())));
        return "key " + key + " sends " + other;
    }

    private String wrongKey(long controller, Random random) {
        Entries all = entries(controller);
        int key = pick(controller, random);
        Entry now = all.of(key).orElseThrow();
        Entry wrong =
                all.entered().entrySet().stream()
                        .filter(e -> e.getKey() != key)
                        .map(Map.Entry::getValue)
                        .min(Comparator.comparing(Entry::toString))
                        .orElse(
                                new Entry(
                                        now.address().map(a -> a.plus(1)),
                                        now.port(),
                                        now.protocol(),
                                        now.number(),
                                        now.name()));
        all.enter(key, Optional.of(wrong));
        return "key " + key + " has the entry of another";
    }

    private void pictures() {
        way(
                Fault.WRONG_FORMAT,
                devices(d -> d.profile().kind() == DeviceKind.CAMERA && formats(d).size() > 1),
                device -> {
                    RigDevice d = at(device);
                    String now = d.condition().dials().format();
                    String other =
                            formats(d).stream()
                                    .filter(f -> !f.equals(now))
                                    .findFirst()
                                    .orElseThrow();
                    hall.hand(new DeviceId(device), new Hand.Turn("format", other));
                    return "its format is " + other;
                });
        way(
                Fault.OVERLAY_ON,
                devices(d -> d.profile().video().filter(v -> !v.overlays().isEmpty()).isPresent()),
                device -> {
                    hall.hand(new DeviceId(device), new Hand.Turn("overlay", "on"));
                    return "menu and status stand in its picture";
                });
        way(
                Fault.NO_RETURN,
                runs(l -> returns(l)),
                run -> {
                    hall.plugRun(run, false);
                    return "its return picture is pulled";
                });
    }

    /** A picture that goes back to a camera, or to the base station that carries it there. */
    private static boolean returns(Link l) {
        Profile to = l.load().device().profile();
        boolean picture = l.signal() == Signal.SDI || l.signal() == Signal.HDMI;
        return picture && (to.kind() == DeviceKind.CAMERA || to.sort() == Sort.BASE_STATION);
    }

    private static List<String> formats(RigDevice d) {
        return d.profile().video().map(Video::formats).orElse(List.of());
    }
}
