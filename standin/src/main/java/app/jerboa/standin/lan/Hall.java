package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import app.jerboa.standin.controller.Entries;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Condition;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HandRules;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.picture.Switcher;
import app.jerboa.standin.serial.SimulatedLine;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;

/**
 * One simulated hall: every device of a job, the leads between them as they truly lie, and the
 * technician's laptop. Safe to use from several threads.
 */
public final class Hall {
    /** How often a device announces the address it holds. */
    public static final Duration ANNOUNCED_EVERY = Duration.ofSeconds(5);

    private static final Duration LOOKED_AGAIN = Duration.ofMillis(100);

    /** As deep as power goes from a supply to the last device. */
    private static final int MOST_ROUNDS = 8;

    private final InstantSource world;
    private final Map<DeviceId, RigDevice> devices = new LinkedHashMap<>();
    private final Map<DeviceId, Entries> entries = new LinkedHashMap<>();
    private final Map<DeviceId, Switcher> switchers = new LinkedHashMap<>();
    private final Map<Port, Port.State> ports = new HashMap<>();
    private final Set<DeviceId> supplies = new LinkedHashSet<>();
    private final Leases leases = new Leases();
    private final Announcements table = new Announcements();
    private final SerialLeads lines = new SerialLeads(this::device);
    private final AtomicBoolean settling = new AtomicBoolean();
    private final Patch patch;
    private Job plan;
    private Map<DeviceId, Powering.Power> powers = Map.of();
    private NetworkSettings laptop;
    private List<NetworkSettings> also = List.of();
    private Optional<DeviceId> laptopAt = Optional.empty();
    private boolean wireless;
    private Instant listening;
    private Duration announced = ANNOUNCED_EVERY;
    private boolean relay = true;
    private Optional<Segments> segments = Optional.empty();
    private final Map<String, Double> spent = new LinkedHashMap<>();
    private final List<Faults.Put> faults = new ArrayList<>();
    private final List<RigDevice> strangers = new ArrayList<>();

    /** Everything from the box, and unplugged; but the house's own router is on. */
    public Hall(Job plan, InstantSource world) {
        this.world = world;
        this.plan = plan;
        this.patch = new Patch(plan);
        this.laptop =
                new NetworkSettings(
                        plan.subnets().get(0).laptopHome(),
                        plan.subnets().get(0).range().prefix(),
                        "");
        this.listening = world.instant();
        stand(plan);
    }

    /** Another version of its job: what is still there stays as it is, what is new is fresh. */
    public synchronized void follow(Job next) {
        plan = next;
        patch.follow(next);
        stand(next);
    }

    private void stand(Job job) {
        Set<DeviceId> there = new HashSet<>();
        for (Device d : job.devices()) {
            there.add(d.id());
            RigDevice known = devices.get(d.id());
            if (known != null && known.profile().equals(d.profile()) && sameHead(known, d)) {
                known.follow(d);
            } else {
                add(d);
            }
        }
        devices.values().stream()
                .filter(d -> !there.contains(d.plan().id()))
                .forEach(RigDevice::takeOut);
        devices.keySet().retainAll(there);
        entries.keySet().retainAll(there);
        switchers.keySet().retainAll(there);
        supplies.retainAll(there);
        settle();
    }

    private boolean sameHead(RigDevice known, Device d) {
        return known.headFacts().equals(head(d));
    }

    private void add(Device d) {
        Optional.ofNullable(devices.get(d.id())).ifPresent(RigDevice::takeOut);
        boolean motor =
                plan.devices().stream()
                        .filter(f -> f.fitted().filter(d.id()::equals).isPresent())
                        .anyMatch(f -> f.profile().sort() == Sort.ZOOM_MOTOR);
        RigDevice fresh = new RigDevice(d, head(d), motor, world, new Around());
        devices.put(d.id(), fresh);
        if (d.profile().keys().isPresent() || d.profile().sort() == Sort.RECORDER) {
            entries.put(d.id(), new Entries(d.profile()));
        }
        if (d.profile().sort() == Sort.VIDEO_SWITCHER) {
            switchers.put(d.id(), new Switcher(() -> Inputs.of(this, d.id())));
        }
        if (d.profile().kind() == DeviceKind.ROUTER) {
            house(fresh, d);
        }
    }

    /** The house's router stands there since long, at its address. */
    private void house(RigDevice router, Device d) {
        Ipv4 address = d.address().orElse(plan.subnets().get(0).gateway());
        router.set(
                router.condition()
                        .with(
                                new NetworkSettings(
                                        address, plan.subnets().get(0).range().prefix(), ""),
                                false)
                        .with(Condition.SignIns.OPEN));
        supplies.add(d.id());
    }

    /** The head that a device has, or drives for what it is fitted to. */
    private Optional<Head> head(Device d) {
        if (d.profile().sort() != Sort.CONTROL_BRIDGE) {
            return d.profile().head();
        }
        return d.fitted().flatMap(plan::device).map(Device::profile).flatMap(Profile::head);
    }

    public synchronized Job plan() {
        return plan;
    }

    /** The leads that are plugged, and no others. */
    synchronized Job lying() {
        return patch.lying();
    }

    synchronized Patch patch() {
        return patch;
    }

    public synchronized List<RigDevice> devices() {
        return List.copyOf(devices.values());
    }

    public synchronized Optional<RigDevice> device(DeviceId id) {
        return Optional.ofNullable(devices.get(id));
    }

    /**
     * @throws Rig.Missing for one that is not there
     */
    public RigDevice need(DeviceId id) {
        return device(id).orElseThrow(() -> new Rig.Missing("no device " + id));
    }

    public synchronized Optional<Entries> entries(DeviceId controller) {
        return Optional.ofNullable(entries.get(controller));
    }

    public synchronized Optional<Switcher> switcher(DeviceId id) {
        return Optional.ofNullable(switchers.get(id));
    }

    /** Power, as it is at this moment. */
    synchronized Powering.Power power(DeviceId id) {
        return powers.getOrDefault(id, Powering.Power.off(""));
    }

    /**
     * What a person sees of a device's power, who knows nothing of ports and volts: {@code on},
     * {@code none needed}, {@code unplugged} or {@code no power arrives}.
     */
    public synchronized String seenPower(DeviceId id) {
        if (need(id).profile().draw().isEmpty()) {
            return "none needed";
        }
        boolean lead = PowerPlan.of(patch.plugged()).to(id).isPresent();
        return need(id).powered() ? "on" : lead ? "no power arrives" : "unplugged";
    }

    public Instant now() {
        return world.instant();
    }

    /**
     * Begins anew.
     *
     * @param how {@code unplugged}, or {@code as-planned} with everything set, entered and plugged
     */
    public synchronized void begin(String how) {
        if (!how.equals("unplugged") && !how.equals("as-planned")) {
            throw new IllegalArgumentException("it begins unplugged or as-planned");
        }
        devices.values().forEach(RigDevice::takeOut);
        devices.clear();
        entries.clear();
        switchers.clear();
        ports.clear();
        supplies.clear();
        spent.clear();
        faults.clear();
        strangers.clear();
        table.forget();
        patch.clear();
        stand(plan);
        if (how.equals("as-planned")) {
            List.copyOf(devices.keySet()).forEach(this::set);
            List.copyOf(devices.keySet()).forEach(d -> plugOne(d, true));
            settle();
        }
    }

    /** Sets a device's network at its own menu, past first logins and pages. */
    public synchronized void atMenu(DeviceId id, NetworkSettings to) {
        RigDevice d = need(id);
        d.set(d.condition().with(to, false).with(Condition.SignIns.OPEN));
        settle();
    }

    // Hands at leads and switches

    /**
     * Plugs a device's own leads in and puts its supply on, or pulls them all.
     *
     * @param all also what it is fed by and reached through
     */
    public synchronized void plug(DeviceId id, boolean on, boolean all) {
        need(id);
        if (on && all) {
            upstream(id, new LinkedHashSet<>()).forEach(d -> plugOne(d, true));
        } else {
            plugOne(id, on);
        }
        settle();
    }

    private void plugOne(DeviceId id, boolean on) {
        for (DeviceId each : patch.whole(id)) {
            supply(each, on && !fed(each) && !laptop(each));
        }
        patch.ownLeads(id).forEach(l -> lead(l.run().id(), on));
    }

    private boolean laptop(DeviceId id) {
        return devices.get(id).profile().sort() == Sort.LAPTOP;
    }

    private boolean fed(DeviceId id) {
        return PowerPlan.of(patch.planned()).to(id).isPresent();
    }

    /** What must be there first, and then the device itself. */
    private Set<DeviceId> upstream(DeviceId id, Set<DeviceId> order) {
        if (order.contains(id)) {
            return order;
        }
        Set<DeviceId> seen = new LinkedHashSet<>(order);
        seen.add(id);
        for (Link link : patch.ownLeads(id)) {
            DeviceId other =
                    patch.whole(id).contains(link.from().device().id())
                            ? link.to().device().id()
                            : link.from().device().id();
            boolean carries = link.signal().serial() || powersOrJoins(link);
            if (carries && !seen.contains(other)) {
                seen.addAll(upstream(other, seen));
            }
        }
        return seen;
    }

    private static boolean powersOrJoins(Link link) {
        return switch (link.signal()) {
            case NETWORK, DC, MULTICORE -> true;
            default -> false;
        };
    }

    private void supply(DeviceId id, boolean on) {
        if (on) {
            supplies.add(id);
        } else {
            supplies.remove(id);
        }
    }

    /** Switches a supply of its own on or off, whatever leads it has. */
    public synchronized void power(DeviceId id, boolean on) {
        need(id);
        supply(id, on);
        settle();
    }

    private void lead(long run, boolean on) {
        patch.put(run, patch.lead(run).plugged(on, now()));
    }

    public synchronized void plugRun(long run, boolean on) {
        needRun(run);
        lead(run, on);
        settle();
    }

    private Run needRun(long run) {
        return patch.run(run).orElseThrow(() -> new Rig.Missing("no run " + run));
    }

    /** Takes one end of a lead to another socket; empty puts it back where it is planned. */
    public synchronized void moveEnd(long run, boolean near, Optional<Run.End> to) {
        needRun(run);
        to.ifPresent(e -> need(e.device()));
        Lead lead = patch.lead(run);
        patch.put(
                run, near ? lead.moved(to, lead.to(), now()) : lead.moved(lead.from(), to, now()));
        settle();
    }

    /** What nobody sees of a lead: a fault, or none. */
    public synchronized void spoil(long run, Optional<RunFault> fault) {
        needRun(run);
        patch.put(run, patch.lead(run).with(fault));
        settle();
    }

    /**
     * @throws IllegalStateException for a dead one that is to be switched
     */
    public synchronized void port(Port port, Port.State state) {
        need(port.device());
        if (portState(port) == Port.State.DEAD && state != Port.State.DEAD) {
            throw new IllegalStateException("that port is dead: nothing switches it on");
        }
        ports.put(port, state);
        settle();
    }

    public synchronized Port.State portState(Port port) {
        return ports.getOrDefault(port, Port.State.ON);
    }

    public synchronized void relay(boolean on) {
        relay = on;
        settle();
    }

    public synchronized void announce(Duration every) {
        announced = every;
    }

    /** Somebody else's gear takes so many watts of what a device gives. */
    public synchronized void spend(DeviceId source, double watts) {
        need(source);
        spent.put(source.toString(), watts);
        settle();
    }

    /** Something of the house stands there, and answers to nothing that we ask. */
    public synchronized void stranger(FactoryAddress at) {
        RigDevice gear = Strangers.at(at, strangers.size(), world, new Around());
        gear.power(Optional.of(now()));
        strangers.add(gear);
    }

    /** Its password is one that nobody noted, until it is reset. */
    public synchronized void strange(DeviceId id) {
        RigDevice d = need(id);
        d.set(d.condition().with(d.condition().signIns().strange(true)));
    }

    /** What somebody put wrong in it. */
    public synchronized List<Faults.Put> faults() {
        return List.copyOf(faults);
    }

    public synchronized void note(Faults.Put put) {
        faults.add(put);
    }

    /** Every lead of the plan, wherever its ends are now. */
    public synchronized List<Link> leads() {
        return patch.planned().links();
    }

    // The laptop

    public synchronized NetworkSettings laptop() {
        return laptop;
    }

    /** A new address takes the place of all it had. */
    public synchronized void moveLaptop(NetworkSettings next) {
        laptop = next;
        also = List.of();
        listening = now();
    }

    /** Addresses the laptop has beside its own. */
    public synchronized List<NetworkSettings> also() {
        return also;
    }

    public synchronized void addToLaptop(NetworkSettings more) {
        also = Stream.concat(also.stream(), Stream.of(more)).distinct().toList();
    }

    /** What it is plugged into; empty for wherever most of the hall is. */
    public synchronized void plugLaptop(Optional<DeviceId> at) {
        at.ifPresent(this::need);
        laptopAt = at;
        listening = now();
    }

    public synchronized void laptopWireless(boolean on) {
        wireless = on;
    }

    private Optional<NetworkSettings> laptopNear(Ipv4 address) {
        return Stream.concat(Stream.of(laptop), also.stream())
                .filter(own -> own.onLink(address))
                .findFirst()
                .or(() -> byAir().filter(own -> own.onLink(address)));
    }

    /** With its wireless on it has an address of the house as well. */
    private Optional<NetworkSettings> byAir() {
        var home = plan.subnets().get(0);
        return wireless
                ? Optional.of(new NetworkSettings(home.laptopHome(), home.range().prefix(), ""))
                : Optional.empty();
    }

    /** The laptop has that address within its own subnet, so it does not ask a gateway. */
    public synchronized boolean onLink(Ipv4 address) {
        return laptopNear(address).isPresent();
    }

    /**
     * The devices that would answer to an address from this laptop: none, one, or several that
     * fight. Both sides must see the other on their own subnet, over leads that carry.
     */
    public synchronized List<RigDevice> answering(Ipv4 address) {
        return laptopNear(address)
                .map(near -> answering(address, near, segments().fromLaptop(laptopAt)))
                .orElse(List.of());
    }

    private List<RigDevice> answering(Ipv4 address, NetworkSettings from, Set<DeviceId> reached) {
        Stream<RigDevice> here =
                devices.values().stream().filter(d -> reached.contains(d.plan().id()));
        return Stream.concat(here, strangers.stream())
                .filter(d -> d.settings().address().equals(address))
                .filter(d -> d.settings().onLink(from.address()))
                .filter(d -> d.phase() == RigDevice.Phase.UP)
                .toList();
    }

    /**
     * Who is joined to whom. Each datagram asks; it is worked out anew when something was done, and
     * else ten times a second of the world's time, since boots end and switches open by themselves.
     */
    synchronized Segments segments() {
        Instant now = now();
        boolean known =
                segments.filter(s -> !now.isBefore(s.asOf()))
                        .filter(s -> now.isBefore(s.asOf().plus(LOOKED_AGAIN)))
                        .isPresent();
        if (!known) {
            segments =
                    Optional.of(
                            new Segments(
                                    patch,
                                    devices::get,
                                    p -> portState(p) == Port.State.ON,
                                    relay,
                                    now));
        }
        return segments.get();
    }

    /**
     * Whom the laptop takes an address to be; empty while its table points to one that has gone.
     */
    public synchronized Optional<RigDevice> holder(Ipv4 address) {
        return table.holder(address, answering(address), now(), announced, listening);
    }

    /** The same for a device of the hall that sends, which asks anew each time. */
    synchronized Optional<RigDevice> holderFor(DeviceId sender, Ipv4 address) {
        NetworkSettings own = need(sender).settings();
        if (!own.onLink(address)) {
            return Optional.empty();
        }
        List<RigDevice> all = answering(address, own, segments().from(sender));
        return new Announcements().holder(address, all, now(), announced, Instant.EPOCH);
    }

    /** Whether a link's lights are on, and whether anything gets through yet. */
    synchronized boolean lit(Link link) {
        return segments().lit(link);
    }

    /** All that is reached over a link, away from one of its ends. */
    synchronized Set<DeviceId> behind(Link link, DeviceId from) {
        Segments now = segments();
        return now.carries(link) ? now.behind(link, from) : Set.of();
    }

    synchronized Set<DeviceId> reachedByLaptop() {
        return segments().fromLaptop(laptopAt);
    }

    /** What hangs on the serial ports of one that drives. */
    synchronized List<SimulatedLine> lines(DeviceId driver) {
        return lines.of(driver);
    }

    /** Nothing is under way that has still to arrive or to be worked out. */
    synchronized boolean quiet() {
        return lines.quiet() && !settling.get();
    }

    synchronized SerialLeads serial() {
        return lines;
    }

    // At devices

    public HandRules.After hand(DeviceId id, Hand hand) {
        HandRules.After after = need(id).hand(hand);
        synchronized (this) {
            if (hand instanceof Hand.Reset r && !r.networkOnly() && !after.refused()) {
                entries(id).ifPresent(Entries::clear);
            }
            settle();
        }
        return after;
    }

    /** Puts a device as its plan says: address, numbers, dials, entries, first login and all. */
    public synchronized void asPlanned(DeviceId id) {
        set(id);
        settle();
    }

    private void set(DeviceId id) {
        RigDevice d = need(id);
        d.set(AsPlanned.condition(plan, d));
        enterAsPlanned(id);
    }

    /** Its dials and menus alone, with the job's format; balanced, and its motor knows its ends. */
    public synchronized void inReach(DeviceId id) {
        RigDevice d = need(id);
        d.set(AsPlanned.inReach(plan, d));
        settle();
    }

    /** Enters every key of a controller as its plan says. */
    public synchronized void enterAsPlanned(DeviceId id) {
        Map<Integer, Entry> planned = AsPlanned.entries(plan, need(id).plan());
        entries(id).ifPresent(e -> planned.forEach((key, at) -> e.enter(key, Optional.of(at))));
    }

    /** Whatever makes a connection that is more than an address. */
    public synchronized void join(DeviceId id) {
        RigDevice d = need(id);
        d.set(d.condition().with(Condition.SignIns.OPEN));
        relay |= d.profile().sort() == Sort.TUNNEL_BOX;
    }

    /** A person's passwords, as they were set at the devices. */
    public synchronized void keyed(Map<String, String> passwords) {
        devices.values().forEach(d -> d.keyed(Optional.ofNullable(passwords.get(d.id()))));
    }

    // What follows of itself

    /** Works out who has power and who gets a lease, after anything changed. */
    synchronized void settle() {
        segments = Optional.empty();
        for (int round = 0; round < MOST_ROUNDS && powerOnce(); round++) {
            Thread.onSpinWait();
        }
        lines.lay(patch.plugged(), l -> TrueFault.of(l, patch.lead(l.run().id())));
        devices.values().forEach(this::lend);
        segments = Optional.empty();
    }

    /**
     * @return somebody's power came or went
     */
    private boolean powerOnce() {
        powers = Powering.of(PowerPlan.of(patch.plugged()), new Switches());
        boolean changed = false;
        for (RigDevice d : devices.values()) {
            Powering.Power p = power(d.plan().id());
            Optional<Instant> from = p.on() ? start(p) : Optional.empty();
            changed |= (p.on() == from.isPresent()) && d.power(from);
            changed |= p.on() && from.isEmpty();
        }
        return changed;
    }

    /** Power comes when its source has started; empty while that has none itself. */
    private Optional<Instant> start(Powering.Power p) {
        if (p.from().isEmpty()) {
            return Optional.of(now());
        }
        return devices.get(p.from().get()).upAt().map(up -> up.isAfter(now()) ? up : now());
    }

    private final class Switches implements Powering.Hands {
        @Override
        public boolean supply(DeviceId device) {
            return supplies.contains(device);
        }

        @Override
        public boolean moves(DeviceId device) {
            return Optional.ofNullable(devices.get(device)).filter(RigDevice::moving).isPresent();
        }

        @Override
        public boolean port(Port at) {
            return portState(at) == Port.State.ON;
        }

        @Override
        public double spent(DeviceId source) {
            return spent.getOrDefault(source.toString(), 0.0);
        }
    }

    private void lend(RigDevice d) {
        boolean asks = d.condition().leases() && d.settings().equals(NetworkSettings.NONE);
        if (!asks || !d.powered() || laptop(d.plan().id()) || d.profile().network().isEmpty()) {
            return;
        }
        Set<Ipv4> held = new HashSet<>();
        devices.values().forEach(o -> held.add(o.settings().address()));
        leases.lend(plan, d.plan(), held).ifPresent(d::lent);
    }

    /** Lends it another address when it asks again: at its next start. */
    public synchronized void changeLease(DeviceId id, Ipv4 to) {
        RigDevice d = need(id);
        leases.change(d.id(), to);
        d.set(d.condition().with(NetworkSettings.NONE, true));
        settle();
    }

    synchronized Map<String, Ipv4> leases() {
        return leases.all();
    }

    private void settleSoon() {
        if (settling.compareAndSet(false, true)) {
            Timers.SHARED.execute(
                    () -> {
                        settling.set(false);
                        settle();
                    });
        }
    }

    /** What a device asks of the hall, past every lock of its own. */
    private final class Around implements RigDevice.Around {
        @Override
        public Optional<RigDevice> holder(RigDevice asked) {
            return Hall.this.holder(asked.settings().address());
        }

        @Override
        public List<SimulatedLine> lines(RigDevice of) {
            return Hall.this.lines(of.plan().id());
        }

        @Override
        public void moved() {
            settleSoon();
        }

        @Override
        public void asks(RigDevice device) {
            settleSoon();
        }

        @Override
        public DevicePorts.Others others(RigDevice of) {
            return new OtherPorts(Hall.this, of);
        }
    }

    // Kept over a restart

    public synchronized HallState state() {
        Map<String, RigDevice.Saved> saved = new LinkedHashMap<>();
        devices.forEach((id, d) -> saved.put(id.toString(), d.saved()));
        Map<String, HallState.Controller> held = new LinkedHashMap<>();
        entries.forEach(
                (id, e) ->
                        held.put(
                                id.toString(), new HallState.Controller(e.entered(), e.pressed())));
        Map<String, Switcher.State> cuts = new LinkedHashMap<>();
        switchers.forEach((id, s) -> cuts.put(id.toString(), s.state()));
        List<HallState.PortState> switched = new ArrayList<>();
        ports.forEach((p, s) -> switched.add(new HallState.PortState(p, s)));
        return new HallState(
                new HallState.Laptop(laptop, also, laptopAt, wireless, listening),
                patch.all(),
                switched,
                List.copyOf(supplies),
                saved,
                held,
                cuts,
                leases.all(),
                relay,
                announced,
                new LinkedHashMap<>(spent),
                List.copyOf(faults),
                strangers.stream().map(RigDevice::settings).toList());
    }

    /** Takes up what was kept; devices that the job no longer has are passed over. */
    public synchronized void restore(HallState kept) {
        laptop = kept.laptop().own();
        also = kept.laptop().also();
        laptopAt = kept.laptop().at();
        wireless = kept.laptop().wireless();
        listening = kept.laptop().listening();
        for (Run r : plan.runs()) {
            patch.put(r.id(), kept.leads().getOrDefault(r.id(), Lead.loose(now())));
        }
        ports.clear();
        kept.ports().forEach(p -> ports.put(p.port(), p.state()));
        supplies.clear();
        kept.supplies().stream().filter(devices::containsKey).forEach(supplies::add);
        table.forget();
        devices.forEach(
                (id, d) ->
                        Optional.ofNullable(kept.devices().get(id.toString()))
                                .ifPresent(d::restore));
        entries.forEach(
                (id, e) ->
                        Optional.ofNullable(kept.controllers().get(id.toString()))
                                .ifPresent(c -> e.restore(c.entries(), c.pressed())));
        switchers.forEach(
                (id, s) ->
                        Optional.ofNullable(kept.switchers().get(id.toString()))
                                .ifPresent(s::restore));
        leases.restore(kept.leases());
        relay = kept.relay();
        spent.clear();
        spent.putAll(kept.spent());
        faults.clear();
        faults.addAll(kept.faults());
        strangers.clear();
        kept.strangers()
                .forEach(
                        n ->
                                stranger(
                                        new FactoryAddress(
                                                n.address(), n.prefix(), Optional.empty())));
        announced = kept.announced();
        settle();
    }

    /** Nothing answers any more. */
    public synchronized void close() {
        devices.values().forEach(RigDevice::takeOut);
    }
}
