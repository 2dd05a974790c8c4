package app.jerboa.standin.lan;

import app.jerboa.core.knob.Does;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SerialLine;
import app.jerboa.standin.Rig;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedBody;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.serial.BusVoice;
import app.jerboa.standin.serial.ChainVoice;
import app.jerboa.standin.serial.SerialVoice;
import app.jerboa.standin.serial.SimulatedLine;
import app.jerboa.wire.dprotocol.DForm;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** One simulated device: its lead, its boot, its network settings, and the ports it answers on. */
public final class RigDevice {
    /** How far it is from answering. */
    public enum Phase {
        OFF,
        BOOTING,
        UP
    }

    /** Of every device as it comes from the box. */
    public static final String FACTORY_PASSWORD = "factory";

    private final Rig.Wanted wanted;
    private final Profile profile;
    private final Optional<Head> facts;
    private final InstantSource world;
    private final Supplier<List<SimulatedLine>> lines;
    private NetworkSettings settings;
    private KnobBank bank;
    private String password;
    private int number;
    private int baud;
    private Optional<Instant> upAt = Optional.empty();
    private Optional<SimulatedHead> head = Optional.empty();
    private Optional<SerialVoice> voice = Optional.empty();
    private List<DevicePort> ports = List.of();
    private boolean answering;

    /**
     * @param facts of the head it has, or drives
     * @param lines that hang on its serial ports
     */
    public RigDevice(
            Rig.Wanted wanted,
            Profile profile,
            Optional<Head> facts,
            InstantSource world,
            Supplier<List<SimulatedLine>> lines) {
        this.wanted = wanted;
        this.profile = profile;
        this.facts = facts;
        this.world = world;
        this.lines = lines;
        this.settings = factorySettings();
        this.bank = freshBank();
        this.password = wanted.password().orElse(FACTORY_PASSWORD);
        onLead(wanted.number(), wanted.baud());
    }

    private KnobBank freshBank() {
        return new KnobBank(profile, id().hashCode());
    }

    private NetworkSettings factorySettings() {
        return profile.factory()
                .map(RigDevice::settings)
                .or(wanted::start)
                .orElse(NetworkSettings.NONE);
    }

    private static NetworkSettings settings(FactoryAddress factory) {
        return new NetworkSettings(
                factory.address(),
                factory.prefix(),
                factory.gateway().map(Ipv4::toString).orElse(""));
    }

    /** How its dials stand; 0 for as from the factory. */
    public final synchronized void onLead(int asNumber, int atBaud) {
        int next = asNumber == 0 ? profile.ids().map(Ids::factory).orElse(1) : asNumber;
        if (next != number) {
            number = next;
            voice = Optional.empty();
        }
        baud = atBaud == 0 ? profile.serial().map(SerialLine::baud).orElse(0) : atBaud;
    }

    /** The password that was set at it; it holds from its next restart on, where it is up. */
    public synchronized void keyed(Optional<String> set) {
        String next = set.orElse(FACTORY_PASSWORD);
        if (!next.equals(password)) {
            password = next;
            if (answering) {
                fallSilent();
            }
        }
    }

    public synchronized int baud() {
        return baud;
    }

    public Rig.Wanted wanted() {
        return wanted;
    }

    public String id() {
        return wanted.id();
    }

    public String name() {
        return wanted.name();
    }

    public String mac() {
        return wanted.mac();
    }

    public Profile profile() {
        return profile;
    }

    public synchronized NetworkSettings settings() {
        return settings;
    }

    public synchronized boolean plugged() {
        return upAt.isPresent();
    }

    /** When it answers, or answered first; empty while unplugged. */
    public synchronized Optional<Instant> upAt() {
        return upAt;
    }

    /** Takes up what a saved state says, without booting again. */
    public synchronized void restore(
            NetworkSettings saved, Optional<Instant> savedUpAt, Map<String, Integer> savedKnobs) {
        settings = saved;
        upAt = savedUpAt;
        bank.restore(savedKnobs);
    }

    public synchronized void plug() {
        if (upAt.isEmpty()) {
            restart();
        }
    }

    public synchronized void unplug() {
        upAt = Optional.empty();
        fallSilent();
    }

    /** Saves new settings and restarts, as such devices do. */
    public synchronized void reconfigure(NetworkSettings next) {
        settings = next;
        restart();
    }

    public synchronized void reset() {
        settings = factorySettings();
        bank = freshBank();
        if (upAt.isPresent()) {
            restart();
        }
    }

    private void restart() {
        fallSilent();
        upAt = Optional.of(world.instant().plusSeconds(profile.bootSeconds()));
    }

    private void fallSilent() {
        ports.forEach(DevicePort::close);
        ports = List.of();
        head = Optional.empty();
        voice = Optional.empty();
        answering = false;
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
    public synchronized Optional<SerialVoice> voice() {
        answerWhenUp();
        if (voice.isEmpty()) {
            voice = head.flatMap(this::voiceOf);
        }
        return voice;
    }

    private Optional<SerialVoice> voiceOf(SimulatedHead of) {
        Optional<SerialVoice> bus =
                profile.answers(Protocol.D_PROTOCOL)
                        .map(
                                s ->
                                        new BusVoice(
                                                of,
                                                facts.orElseThrow(),
                                                DForm.D,
                                                number,
                                                s.twoWay()));
        return bus.or(
                () -> profile.answers(Protocol.VISCA_SERIAL).map(s -> new ChainVoice(of, number)));
    }

    private void answerWhenUp() {
        if (phase() != Phase.UP || answering) {
            return;
        }
        try {
            head = facts.map(f -> new SimulatedHead(f, bank, world, InstantSource.system()));
            bank.onVerb(this::told);
            ports =
                    DevicePorts.open(
                            name(),
                            obeys(),
                            bank,
                            password,
                            lines,
                            InetAddress.getLoopbackAddress());
            answering = true;
        } catch (IOException e) {
            throw new UncheckedIOException("no loopback port free for " + name(), e);
        }
    }

    /** A head, or a camera that stands on somebody's shoulder. */
    private Optional<ViscaObeys> obeys() {
        return profile.kind() == DeviceKind.CAMERA && head.isEmpty()
                ? Optional.of(new SimulatedBody(bank))
                : head.map(h -> h);
    }

    /** Later, since it was asked by a port that a restart closes. */
    private void told(Verb verb) {
        if (verb.does() == Does.RESTARTS) {
            Timers.SHARED.execute(this::restartIfPlugged);
        }
    }

    private synchronized void restartIfPlugged() {
        if (upAt.isPresent()) {
            restart();
        }
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

    public synchronized Optional<SimulatedHead.Heard> lastDrive() {
        return head.flatMap(SimulatedHead::lastDrive);
    }
}
