package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.device.CameraMenu;
import app.jerboa.standin.device.Condition;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.Guarded;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HandRules;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.device.SimulatedBody;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.StoredView;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.picture.HallPicture;
import app.jerboa.standin.picture.MenuPicture;
import app.jerboa.standin.serial.BusVoice;
import app.jerboa.standin.serial.ChainVoice;
import app.jerboa.standin.serial.SerialVoice;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.wire.dprotocol.DForm;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;

/** One simulated device: its power, its boot, how it is set, and the ports it answers on. */
public final class RigDevice {
    /** How far it is from answering. */
    public enum Phase {
        OFF,
        BOOTING,
        UP
    }

    /** Of every device as it comes from the box. */
    public static final String FACTORY_PASSWORD = "factory";

    /** What a device needs of the hall it stands in. */
    interface Around {
        /** Who holds its address just now, seen from the laptop. */
        Optional<RigDevice> holder(RigDevice asked);

        /** How long a datagram from the laptop is on its way to it, in milliseconds. */
        int delayMillis(RigDevice to);

        /** What hangs on its serial ports. */
        List<SimulatedLine> lines(RigDevice of);

        /** It began to move, or stopped: what it takes is another. */
        void moved();

        /** It asks for a lease. */
        void asks(RigDevice device);

        DevicePorts.Others others(RigDevice of);
    }

    /**
     * What a saved state says of one.
     *
     * @param poweredAt when its power came; empty while it has none
     * @param at where its head stands
     */
    public record Saved(
            Condition condition,
            Optional<Instant> poweredAt,
            Optional<Instant> upAt,
            Map<String, Integer> knobs,
            Map<Integer, StoredView> presets,
            Optional<HeadState.Aim> at) {}

    private final Profile profile;
    private final Optional<Head> facts;
    private final InstantSource world;
    private final Around around;
    private final HandRules rules;
    private Device plan;
    private Condition condition;
    private KnobBank bank;
    private CameraMenu menu;
    private String password = FACTORY_PASSWORD;
    private final String unknown = UUID.randomUUID().toString();
    private Optional<Instant> poweredAt = Optional.empty();
    private Optional<Instant> upAt = Optional.empty();
    private Optional<SimulatedHead> head = Optional.empty();
    private Map<Integer, StoredView> presets = Map.of();
    private Optional<HeadState.Aim> stands = Optional.empty();
    private volatile Optional<Focusing> focusing = Optional.empty();
    private Optional<SerialVoice> voice = Optional.empty();
    private List<DevicePort> ports = List.of();
    private boolean answering;

    /**
     * @param facts of the head it has, or drives
     * @param motor a zoom motor is fitted to it
     */
    RigDevice(
            Device plan, Optional<Head> facts, boolean motor, InstantSource world, Around around) {
        this.plan = plan;
        this.profile = plan.profile();
        this.facts = facts;
        this.world = world;
        this.around = around;
        this.rules = new HandRules(profile);
        this.condition = Condition.fresh(profile, plan.format(), motor);
        this.bank = freshBank();
        this.menu = new CameraMenu(bank);
    }

    private KnobBank freshBank() {
        return new KnobBank(profile, id().hashCode());
    }

    /** The same device in another version of the plan. */
    synchronized void follow(Device next) {
        plan = next;
    }

    public synchronized Device plan() {
        return plan;
    }

    /** The password that was set at it; it holds from its next restart on, where it is up. */
    synchronized void keyed(Optional<String> set) {
        String next = set.orElse(FACTORY_PASSWORD);
        if (!next.equals(password)) {
            password = next;
            if (answering) {
                fallSilent();
            }
        }
    }

    public String id() {
        return plan.id().toString();
    }

    public synchronized String name() {
        return plan.name();
    }

    public synchronized String mac() {
        return plan.mac();
    }

    public Profile profile() {
        return profile;
    }

    public synchronized Condition condition() {
        return condition;
    }

    public synchronized NetworkSettings settings() {
        return condition.settings();
    }

    public synchronized int baud() {
        return condition.dials().baud();
    }

    public synchronized boolean powered() {
        return poweredAt.isPresent();
    }

    public synchronized Optional<Instant> poweredAt() {
        return poweredAt;
    }

    /** When it answers, or answered first; empty without power. */
    public synchronized Optional<Instant> upAt() {
        return upAt;
    }

    /**
     * Its power comes or goes.
     *
     * @return it is another than before
     */
    synchronized boolean power(Optional<Instant> from) {
        if (from.isPresent() == poweredAt.isPresent()) {
            return false;
        }
        poweredAt = from;
        if (from.isPresent()) {
            restart(from.get());
        } else {
            upAt = Optional.empty();
            fallSilent();
        }
        return true;
    }

    /** A person does something at it. */
    HandRules.After hand(Hand hand) {
        HandRules.After after;
        synchronized (this) {
            boolean up = phase() == Phase.UP;
            after = rules.after(condition, hand, up, world.instant());
            boolean all = hand instanceof Hand.Reset r && !r.networkOnly();
            take(after.condition());
            if (all && !after.refused()) {
                bank = freshBank();
                menu = new CameraMenu(bank);
                presets = Map.of();
                head.ifPresent(SimulatedHead::forget);
                password = FACTORY_PASSWORD;
            }
            if (after.restarts() && poweredAt.isPresent()) {
                restart(world.instant());
            }
        }
        if (condition().leases() && settings().equals(NetworkSettings.NONE)) {
            around.asks(this);
        }
        return after;
    }

    private void take(Condition next) {
        if (next.dials().number() != condition.dials().number()
                || !next.dials().mode().equals(condition.dials().mode())) {
            voice = Optional.empty();
        }
        condition = next;
    }

    /** Somebody stored these views in it before the job began. */
    synchronized void keeps(Map<Integer, StoredView> views) {
        presets = Collections.unmodifiableMap(new TreeMap<>(views));
    }

    /** What the house lends it. */
    synchronized void lent(NetworkSettings lease) {
        condition = condition.with(lease, true);
    }

    /** Set past all its pages, by somebody at its own menu who knows the way. */
    synchronized void set(Condition next) {
        boolean moved = !next.settings().equals(condition.settings());
        take(next);
        if (moved && poweredAt.isPresent()) {
            restart(world.instant());
        }
    }

    private void restart(Instant from) {
        fallSilent();
        upAt = Optional.of(from.plusSeconds(profile.bootSeconds()));
    }

    synchronized void startAgain() {
        if (poweredAt.isPresent()) {
            restart(world.instant());
        }
    }

    private void fallSilent() {
        head.ifPresent(
                h -> {
                    presets = h.presets();
                    h.onMove(() -> {});
                });
        focusing.ifPresent(Focusing::end);
        focusing = Optional.empty();
        ports.forEach(DevicePort::close);
        ports = List.of();
        head = Optional.empty();
        stands = Optional.empty();
        voice = Optional.empty();
        answering = false;
    }

    synchronized void takeOut() {
        poweredAt = Optional.empty();
        upAt = Optional.empty();
        fallSilent();
    }

    public synchronized Phase phase() {
        if (upAt.isEmpty()) {
            return Phase.OFF;
        }
        return world.instant().isBefore(upAt.get()) ? Phase.BOOTING : Phase.UP;
    }

    /** Where it answers; opened when they are first asked for after its boot, none before. */
    public synchronized List<DevicePort> ports() {
        answerWhenUp();
        return ports;
    }

    /** As it hears and talks on a serial lead; empty while it is not up, or has none. */
    synchronized Optional<SerialVoice> voice() {
        answerWhenUp();
        if (voice.isEmpty()) {
            voice = head.flatMap(this::voiceOf);
        }
        return voice;
    }

    private Optional<SerialVoice> voiceOf(SimulatedHead of) {
        Optional<Protocol> mode = condition.dials().mode();
        int number = condition.dials().number();
        Optional<SerialVoice> bus =
                speaks(Protocol.D_PROTOCOL, mode)
                        ? profile.answers(Protocol.D_PROTOCOL)
                                .map(
                                        s ->
                                                new BusVoice(
                                                        of,
                                                        bank,
                                                        facts.orElseThrow(),
                                                        DForm.D,
                                                        number,
                                                        s.twoWay()))
                        : Optional.empty();
        return bus.or(
                () ->
                        speaks(Protocol.VISCA_SERIAL, mode)
                                ? profile.answers(Protocol.VISCA_SERIAL)
                                        .map(s -> new ChainVoice(guarded(of), number))
                                : Optional.empty());
    }

    private static boolean speaks(Protocol one, Optional<Protocol> mode) {
        return mode.isEmpty() || mode.get() == one;
    }

    private ViscaObeys guarded(ViscaObeys of) {
        return new Guarded(of, this::condition);
    }

    private void answerWhenUp() {
        if (phase() != Phase.UP || answering) {
            return;
        }
        try {
            head = facts.map(f -> new SimulatedHead(f, bank, world, InstantSource.system()));
            head.ifPresent(
                    h -> {
                        h.resume(presets, stands);
                        h.onMove(around::moved);
                        focusing =
                                Optional.of(
                                        new Focusing(
                                                HallPicture.number(name()),
                                                facts.orElseThrow(),
                                                h,
                                                bank,
                                                world));
                    });
            bank.onVerb(this::told);
            Optional<ViscaObeys> obeys = obeys();
            DevicePorts of =
                    new DevicePorts(
                            name(),
                            bank,
                            door(),
                            gate(),
                            obeys.isPresent(),
                            () -> around.lines(this),
                            around.others(this));
            ports = of.open(InetAddress.getLoopbackAddress());
            answering = true;
        } catch (IOException e) {
            throw new UncheckedIOException("no loopback port free for " + name(), e);
        }
    }

    /** A head, or a camera that stands on somebody's shoulder. */
    private Optional<ViscaObeys> obeys() {
        return profile.kind() == DeviceKind.CAMERA && head.isEmpty()
                ? Optional.of(guarded(new SimulatedBody(bank)))
                : head.map(this::guarded);
    }

    /** What hears VISCA in it now; empty while it is not up. */
    synchronized Optional<ViscaObeys> hears() {
        answerWhenUp();
        return answering ? obeys() : Optional.empty();
    }

    /** Whoever holds its address answers at its ports. */
    private final class OwnGate implements Gate {
        @Override
        public Optional<ViscaObeys> hearer() {
            return around.holder(RigDevice.this).flatMap(RigDevice::hears);
        }

        @Override
        public boolean own() {
            return around.holder(RigDevice.this).filter(d -> d == RigDevice.this).isPresent();
        }

        @Override
        public int delayMillis() {
            return around.delayMillis(RigDevice.this);
        }
    }

    Door door() {
        return new OwnDoor();
    }

    Gate gate() {
        return new OwnGate();
    }

    private final class OwnDoor implements Door {
        @Override
        public String user() {
            return profile.access().map(Access::user).orElse("admin");
        }

        @Override
        public String password() {
            synchronized (RigDevice.this) {
                return condition.signIns().strange() ? unknown : password;
            }
        }

        @Override
        public boolean shut() {
            return condition().shut(world.instant());
        }

        @Override
        public void tried(boolean right) {
            if (!right || condition().signIns().wrong() > 0) {
                hand(new Hand.Login(right, true));
            }
        }
    }

    /** Later, since it was asked by a port that a restart closes. */
    private void told(Verb verb) {
        focusing.ifPresent(f -> f.told(verb));
        menu.told(verb);
        if (verb.does() == Does.RESTARTS) {
            Timers.SHARED.execute(this::startAgain);
        }
    }

    public synchronized KnobBank bank() {
        return bank;
    }

    /** What its knobs stand at; none for one without knobs. */
    public synchronized Map<String, Integer> knobs() {
        return bank.all();
    }

    /** Seconds of the world's time until it answers; 0 when it does or is off. */
    public synchronized double secondsToBoot() {
        return upAt.map(t -> Math.max(0, Duration.between(world.instant(), t).toMillis() / 1000.0))
                .orElse(0.0);
    }

    public synchronized Optional<HeadState> headState() {
        return head.map(SimulatedHead::state);
    }

    /** Where its head is beside pan and tilt; none for one without, or while it is not up. */
    public synchronized Map<String, Double> axes() {
        return head.map(SimulatedHead::axes).orElse(Map.of());
    }

    /** What it sees with the head that it has; empty for one without. */
    Optional<BufferedImage> sees(Instant now) {
        Optional<HeadState> state = headState();
        int number = HallPicture.number(name());
        double roll = axes().getOrDefault("roll", 0.0);
        Optional<BufferedImage> seen =
                facts.flatMap(f -> state.map(s -> HallPicture.of(number, f, s, roll, bank, now)));
        seen.ifPresent(p -> MenuPicture.draw(p, menu.lines()));
        return seen;
    }

    public synchronized boolean moving() {
        return head.filter(SimulatedHead::moving).isPresent();
    }

    public synchronized Optional<SimulatedHead.Heard> lastDrive() {
        return head.flatMap(SimulatedHead::lastDrive);
    }

    synchronized Saved saved() {
        return new Saved(
                condition,
                poweredAt,
                upAt,
                bank.all(),
                head.map(SimulatedHead::presets).orElse(presets),
                headState().map(s -> new HeadState.Aim(s.pan(), s.tilt(), s.zoom())));
    }

    /** Takes up what a saved state says, without booting again. */
    synchronized void restore(Saved saved) {
        fallSilent();
        condition = saved.condition();
        poweredAt = saved.poweredAt();
        upAt = saved.upAt();
        bank.restore(saved.knobs());
        presets = saved.presets();
        stands = saved.at();
    }

    /** The same kind of thing, that drives the same head. */
    boolean isLike(Device d, Optional<Head> head) {
        return profile.equals(d.profile()) && facts.equals(head);
    }

    /** Of the head it has, or drives. */
    Optional<Head> headFacts() {
        return facts;
    }
}
