package app.jerboa.standin.lan;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.DevicePorts;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.SimulatedHead;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;

/** One simulated device: its lead, its boot, its network settings, and the ports it answers on. */
public final class RigDevice {
    /** How far it is from answering. */
    public enum Phase {
        OFF,
        BOOTING,
        UP
    }

    private final String id;
    private final String name;
    private final String mac;
    private final Profile profile;
    private final InstantSource world;
    private NetworkSettings settings;
    private Optional<Instant> upAt = Optional.empty();
    private Optional<SimulatedHead> head = Optional.empty();
    private List<DevicePort> ports = List.of();

    public RigDevice(String id, String name, String mac, Profile profile, InstantSource world) {
        this.id = id;
        this.name = name;
        this.mac = mac;
        this.profile = profile;
        this.world = world;
        this.settings = factorySettings();
    }

    private NetworkSettings factorySettings() {
        FactoryAddress factory = profile.factory().orElseThrow();
        return new NetworkSettings(
                factory.address(),
                factory.prefix(),
                factory.gateway().map(Ipv4::toString).orElse(""));
    }

    public String id() {
        return id;
    }

    public String name() {
        return name;
    }

    public String mac() {
        return mac;
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
    public synchronized void restore(NetworkSettings saved, Optional<Instant> savedUpAt) {
        settings = saved;
        upAt = savedUpAt;
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
    }

    public synchronized Phase phase() {
        if (upAt.isEmpty()) {
            return Phase.OFF;
        }
        return world.instant().isBefore(upAt.get()) ? Phase.BOOTING : Phase.UP;
    }

    /** Where it answers; opened when they are first asked for after its boot, none before. */
    public synchronized List<DevicePort> ports() {
        if (phase() == Phase.UP && head.isEmpty() && profile.head().isPresent()) {
            answer(profile.head().get());
        }
        return ports;
    }

    private void answer(Head facts) {
        SimulatedHead fresh = new SimulatedHead(facts, world, InstantSource.system());
        try {
            ports = DevicePorts.open(profile, fresh, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException("no loopback port free for " + name, e);
        }
        head = Optional.of(fresh);
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
