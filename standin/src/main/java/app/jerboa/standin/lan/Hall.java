package app.jerboa.standin.lan;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * One simulated hall: every device of a job, the leads between them as they truly lie, and the
 * technician's laptop. All that is done in it goes through here, one thing at a time; afterwards it
 * settles: who has power, who is lent an address, which serial lines there are.
 */
public final class Hall {
    /** How often a device announces the address it holds. */
    public static final Duration ANNOUNCED_EVERY = Duration.ofSeconds(5);

    /** Through a tunnel over the outside, each way. */
    static final int TUNNEL_MILLIS = 40;

    private final InstantSource world;
    private final Around around = new Around();
    private final Furniture things;
    private final Supplies supplies;
    private final Patch patch;
    private final Network network;
    private final Laptop laptop;
    private final Leases leases = new Leases();
    private final SerialLeads lines = new SerialLeads(this::device, this::joined);
    private final List<Faults.Put> faults = new ArrayList<>();
    private final AtomicBoolean settling = new AtomicBoolean();
    private final AtomicInteger owed = new AtomicInteger();
    private Job plan;

    /** Everything from the box, and unplugged; but the house's own router is on. */
    public Hall(Job plan, InstantSource world) {
        this.world = world;
        this.plan = plan;
        this.patch = new Patch(plan);
        this.things = new Furniture(world, around, id -> new Switcher(() -> Inputs.of(this, id)));
        this.supplies = new Supplies(things::at);
        this.network = new Network(things, supplies, patch);
        this.laptop = new Laptop(home(), world.instant());
        stand();
    }

    private Subnet home() {
        return plan.subnets().get(0);
    }

    /** Another version of its job: what is still there stays as it is, what is new is fresh. */
    public synchronized void follow(Job next) {
        plan = next;
        patch.follow(next);
        stand();
    }

    private void stand() {
        things.stand(plan).stream()
                .filter(d -> d.profile().kind() == DeviceKind.ROUTER)
                .forEach(this::house);
        supplies.retain(things.ids());
        settle();
    }

    /** The house's router stands there since long, at its address. */
    private void house(RigDevice router) {
        Ipv4 address = router.plan().address().orElse(home().gateway());
        NetworkSettings settings = new NetworkSettings(address, home().range().prefix(), "");
        router.set(router.condition().with(settings, false).with(Condition.SignIns.OPEN));
        supplies.supply(router.plan().id(), true);
        router.power(Optional.of(now().minusSeconds(router.profile().bootSeconds())));
    }

    public synchronized Job plan() {
        return plan;
    }

    public Instant now() {
        return world.instant();
    }

    public synchronized List<RigDevice> devices() {
        return List.copyOf(things.all());
    }

    public synchronized Optional<RigDevice> device(DeviceId id) {
        return Optional.ofNullable(things.at(id));
    }

    /**
     * @throws Rig.Missing for one that is not there
     */
    public RigDevice need(DeviceId id) {
        return device(id).orElseThrow(() -> new Rig.Missing("no device " + id));
    }

    public synchronized Optional<Entries> entries(DeviceId controller) {
        return things.entries(controller);
    }

    /** Without the hall's lock: a device asks while it opens its ports. */
    public Optional<Switcher> switcher(DeviceId id) {
        return things.switcher(id);
    }

    synchronized Patch patch() {
        return patch;
    }

    /** Every lead of the plan, wherever its ends are now. */
    public synchronized List<Link> leads() {
        return patch.planned().links();
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
        things.clear();
        supplies.clear();
        network.clear();
        faults.clear();
        laptop.forget();
        patch.clear();
        stand();
        if (how.equals("as-planned")) {
            things.ids().forEach(this::set);
            things.ids().forEach(d -> plugOne(d, true));
            settle();
        }
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
            Before.of(patch, id).forEach(d -> plugOne(d, true));
        } else {
            plugOne(id, on);
        }
        settle();
    }

    private void plugOne(DeviceId id, boolean on) {
        PowerPlan planned = PowerPlan.of(patch.planned());
        for (DeviceId each : patch.whole(id)) {
            boolean own = planned.to(each).isEmpty() && !isLaptop(things.at(each));
            supplies.supply(each, on && own);
        }
        patch.ownLeads(id).forEach(l -> lead(l.run().id(), on));
    }

    private static boolean isLaptop(RigDevice d) {
        return d.profile().sort() == Sort.LAPTOP;
    }

    /** Switches a supply of its own on or off, whatever leads it has. */
    public synchronized void power(DeviceId id, boolean on) {
        need(id);
        supplies.supply(id, on);
        settle();
    }

    private void lead(long run, boolean on) {
        patch.put(run, patch.lead(run).plugged(on, now()));
    }

    public synchronized void plugRun(long run, boolean on) {
        patch.need(run);
        lead(run, on);
        settle();
    }

    /** Takes one end of a lead to another socket; empty puts it back where it is planned. */
    public synchronized void moveEnd(long run, boolean near, Optional<Run.End> to) {
        patch.need(run);
        to.ifPresent(e -> need(e.device()));
        Lead lead = patch.lead(run);
        patch.put(
                run, near ? lead.moved(to, lead.to(), now()) : lead.moved(lead.from(), to, now()));
        settle();
    }

    /** What nobody sees of a lead: a fault, or none. */
    public synchronized void spoil(long run, Optional<RunFault> fault) {
        patch.need(run);
        patch.put(run, patch.lead(run).with(fault));
        settle();
    }

    /**
     * @throws IllegalStateException for a dead one that is to be switched
     */
    public synchronized void port(Port port, Port.State state) {
        need(port.device());
        supplies.put(port, state);
        settle();
    }

    public synchronized Port.State portState(Port port) {
        return supplies.state(port);
    }

    /** The relay between the two ends of a tunnel. */
    public synchronized void relay(boolean on) {
        network.relay(on);
        settle();
    }

    public synchronized void announce(Duration every) {
        network.announce(every);
    }

    /** Somebody else's gear takes so many watts of what a device gives. */
    public synchronized void spend(DeviceId source, double watts) {
        need(source);
        supplies.spend(source, watts);
        settle();
    }

    /** Something of the house stands there, and answers to nothing that we ask. */
    public synchronized void clearHouse() {
        network.clear();
    }

    public synchronized void stranger(FactoryAddress at) {
        List<RigDevice> strangers = network.strangers();
        RigDevice gear = Strangers.at(at, strangers.size(), world, around);
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

    // The laptop, and whom it hears

    public synchronized NetworkSettings laptop() {
        return laptop.own();
    }

    /** Addresses the laptop has beside its own. */
    public synchronized List<NetworkSettings> also() {
        return laptop.also();
    }

    /** A new address takes the place of all it had. */
    public synchronized void moveLaptop(NetworkSettings next) {
        laptop.move(next, now());
    }

    public synchronized void addToLaptop(NetworkSettings more) {
        laptop.add(more);
    }

    /** What it is plugged into; empty for wherever most of the hall is. */
    public synchronized void plugLaptop(Optional<DeviceId> at) {
        at.ifPresent(this::need);
        laptop.plug(at, now());
    }

    public synchronized void laptopWireless(boolean on) {
        laptop.wireless(on);
    }

    /** The laptop has that address within its own subnet, so it does not ask a gateway. */
    public synchronized boolean onLink(Ipv4 address) {
        return laptop.near(address, home()).isPresent();
    }

    /**
     * The devices that would answer to an address from this laptop: none, one, or several that
     * fight. Both sides must see the other on their own subnet, over leads that carry.
     */
    public synchronized List<RigDevice> answering(Ipv4 address) {
        return laptop.near(address, home())
                .map(near -> network.answering(address, near, reachedByLaptop()))
                .orElse(List.of());
    }

    /**
     * Whom the laptop takes an address to be; empty while its table points to one that has gone.
     */
    public synchronized Optional<RigDevice> holder(Ipv4 address) {
        return laptop.holder(address, answering(address), now(), network.announced());
    }

    /** Whom a device of the hall reaches there. */
    synchronized Optional<RigDevice> holderFor(DeviceId sender, Ipv4 address) {
        return network.holderFor(need(sender), address, now());
    }

    synchronized Set<DeviceId> reachedByLaptop() {
        return segments().fromLaptop(laptop.at());
    }

    synchronized Segments segments() {
        return network.segments(now());
    }

    private synchronized boolean beyondTunnel(DeviceId device) {
        return segments().beyondTunnel(laptop.at(), device);
    }

    /** One reaches the other over the network. */
    synchronized boolean joined(DeviceId one, DeviceId other) {
        return segments().from(one).contains(other);
    }

    /** What hangs on the serial ports of one that drives. */
    synchronized List<SimulatedLine> lines(DeviceId driver) {
        return lines.of(driver);
    }

    synchronized SerialLeads serial() {
        return lines;
    }

    /** Nothing is under way that has still to arrive or to be worked out. */
    synchronized boolean quiet() {
        return lines.quiet() && owed.get() == 0;
    }

    // Hands at devices

    public HandRules.After hand(DeviceId id, Hand hand) {
        HandRules.After after = need(id).hand(hand);
        synchronized (this) {
            if (hand instanceof Hand.Reset r && !r.networkOnly() && !after.refused()) {
                things.entries(id).ifPresent(Entries::clear);
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
        things.entries(id)
                .ifPresent(e -> planned.forEach((key, at) -> e.enter(key, Optional.of(at))));
    }

    /** Whatever makes a connection that is more than an address. */
    public synchronized void join(DeviceId id) {
        RigDevice d = need(id);
        d.set(d.condition().with(Condition.SignIns.OPEN));
        if (d.profile().sort() == Sort.TUNNEL_BOX) {
            network.relay(true);
        }
        settle();
    }

    /** Sets a device's network at its own menu, past first logins and pages. */
    public synchronized void atMenu(DeviceId id, NetworkSettings to) {
        RigDevice d = need(id);
        d.set(d.condition().with(to, false).with(Condition.SignIns.OPEN));
        settle();
    }

    /** A person's passwords, as they were set at the devices. */
    public synchronized void keyed(Map<String, String> passwords) {
        things.all().forEach(d -> d.keyed(Optional.ofNullable(passwords.get(d.id()))));
    }

    /** Lends it another address when it asks again: at its next start. */
    public synchronized void changeLease(DeviceId id, Ipv4 to) {
        RigDevice d = need(id);
        leases.change(d.id(), to);
        d.set(d.condition().with(NetworkSettings.NONE, true));
        settle();
    }

    /** What the router's own list says, by device. */
    public synchronized Map<String, Ipv4> leases() {
        return leases.all();
    }

    // What follows of itself

    /** Works out who has power and who gets a lease, after anything changed. */
    synchronized void settle() {
        network.changed();
        supplies.settle(PowerPlan.of(patch.plugged()), things.all(), now());
        lines.lay(patch.plugged(), l -> TrueFault.of(l, patch.lead(l.run().id())));
        things.all().forEach(this::lend);
        network.changed();
    }

    private void lend(RigDevice d) {
        boolean asks = d.condition().leases() && d.settings().equals(NetworkSettings.NONE);
        if (asks && d.powered() && !isLaptop(d) && d.profile().networked()) {
            Set<Ipv4> held = new HashSet<>();
            things.all().forEach(o -> held.add(o.settings().address()));
            leases.lend(plan, d.plan(), held).ifPresent(d::lent);
        }
    }

    /** Power, as it is at this moment. */
    synchronized Powering.Power power(DeviceId id) {
        return supplies.of(id);
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

    private void settleSoon() {
        if (settling.compareAndSet(false, true)) {
            owed.incrementAndGet();
            Timers.SHARED.execute(this::settleNow);
        }
    }

    /** What moves from here on is settled again. */
    private void settleNow() {
        settling.set(false);
        try {
            settle();
        } finally {
            owed.decrementAndGet();
        }
    }

    /** What a device asks of the hall, past every lock of its own. */
    private final class Around implements RigDevice.Around {
        @Override
        public Optional<RigDevice> holder(RigDevice asked) {
            return Hall.this.holder(asked.settings().address());
        }

        @Override
        public int delayMillis(RigDevice to) {
            return beyondTunnel(to.plan().id()) ? TUNNEL_MILLIS : 0;
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
        return new HallState(
                laptop.saved(),
                patch.all(),
                supplies.saved(),
                things.saved(),
                network.saved(),
                leases.all(),
                List.copyOf(faults));
    }

    /** Takes up what was kept; devices that the job no longer has are passed over. */
    public synchronized void restore(HallState kept) {
        laptop.restore(kept.laptop());
        patch.restore(kept.leads());
        supplies.restore(kept.power());
        supplies.retain(things.ids());
        things.restore(kept.things());
        network.restore(kept.network());
        kept.network().strangers().forEach(this::stranger);
        leases.restore(kept.leases());
        faults.clear();
        faults.addAll(kept.faults());
        settle();
    }

    /** Nothing answers any more. */
    public synchronized void close() {
        things.clear();
    }
}
