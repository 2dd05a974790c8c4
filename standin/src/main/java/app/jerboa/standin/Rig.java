package app.jerboa.standin;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.NetworkSettings;
import app.jerboa.standin.lan.RigDevice;
import java.time.Instant;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** All simulated halls and the one clock of the simulated world. */
public final class Rig {
    private final Function<String, Optional<Profile>> profiles;
    private final InstantSource wall;
    private final Map<String, Hall> halls = new LinkedHashMap<>();
    private volatile WorldClock clock;

    public Rig(Function<String, Optional<Profile>> profiles, InstantSource wall, WorldClock clock) {
        this.profiles = profiles;
        this.wall = wall;
        this.clock = clock;
    }

    public WorldClock clock() {
        return clock;
    }

    public Instant now() {
        return clock.at(wall.instant());
    }

    public synchronized void setSpeed(double speed) {
        clock = clock.withSpeed(speed, wall.instant());
    }

    public synchronized Map<String, Hall> halls() {
        return new LinkedHashMap<>(halls);
    }

    public synchronized Optional<Hall> hall(String id) {
        return Optional.ofNullable(halls.get(id));
    }

    /** What is wanted in a hall. */
    public record Wanted(String id, String name, String profile, String mac) {}

    /**
     * Builds a hall, or adapts one: devices it knows keep their state, new ones come fresh from the
     * box and unplugged, the rest is taken out.
     *
     * @throws IllegalArgumentException for an unknown profile
     */
    public synchronized Hall furnish(String id, NetworkSettings laptop, List<Wanted> devices) {
        Hall hall = halls.computeIfAbsent(id, h -> new Hall(laptop));
        hall.keepOnly(devices.stream().map(Wanted::id).toList());
        for (Wanted w : devices) {
            if (hall.device(w.id()).isEmpty()) {
                hall.add(new RigDevice(w.id(), w.name(), w.mac(), profile(w.profile()), this::now));
            }
        }
        return hall;
    }

    private Profile profile(String id) {
        return profiles.apply(id)
                .filter(p -> p.factory().isPresent())
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "no stand-in for the profile \"" + id + "\""));
    }

    /** A hall or a device that is not there. */
    public static final class Missing extends RuntimeException {
        public Missing(String message) {
            super(message);
        }
    }

    public Hall needHall(String id) {
        return hall(id).orElseThrow(() -> new Missing("no hall " + id));
    }

    /** The one device that answers there, to be given new settings. */
    public static RigDevice only(Hall hall, Ipv4 address) {
        List<RigDevice> answering = hall.answering(address);
        if (answering.isEmpty()) {
            throw new Missing("nothing answers at " + address);
        }
        if (answering.size() > 1) {
            throw new IllegalStateException(
                    answering.size() + " devices fight over " + address + ": no setting sticks");
        }
        return answering.get(0);
    }
}
