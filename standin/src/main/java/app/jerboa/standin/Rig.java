package app.jerboa.standin;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Head;
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

    /**
     * What is wanted in a hall.
     *
     * @param start what the house lends it, for one that starts on a lease
     * @param head profile of the head that it drives, for a bridge that has none of its own
     * @param number it answers to on a serial lead; 0 for its factory's
     * @param baud of its serial port; 0 for its factory's
     * @param password that was set at it; empty for its factory's
     * @param facts of a profile that is not shipped
     */
    public record Wanted(
            String id,
            String name,
            String profile,
            String mac,
            Optional<NetworkSettings> start,
            Optional<String> head,
            int number,
            int baud,
            Optional<String> password,
            Optional<Profile> facts) {
        /** One that needs no more than its profile. */
        public Wanted(String id, String name, String profile, String mac) {
            this(
                    id,
                    name,
                    profile,
                    mac,
                    Optional.empty(),
                    Optional.empty(),
                    0,
                    0,
                    Optional.empty(),
                    Optional.empty());
        }
    }

    /**
     * A serial lead: a chain, or a bus.
     *
     * @param server id of the serial server at its near end
     * @param stations ids of the devices on it, from there on
     */
    public record Lead(String server, boolean bus, int baud, List<String> stations) {}

    /**
     * Builds a hall, or adapts one: devices it knows keep their state, new ones come fresh from the
     * box and unplugged, the rest is taken out.
     *
     * @throws IllegalArgumentException for an unknown profile
     */
    public synchronized Hall furnish(
            String id, NetworkSettings laptop, List<Wanted> devices, List<Lead> leads) {
        Hall hall = halls.computeIfAbsent(id, h -> new Hall(laptop));
        hall.keepOnly(devices.stream().map(Wanted::id).toList());
        for (Wanted w : devices) {
            Optional<RigDevice> there = hall.device(w.id());
            if (there.isPresent()) {
                there.get().onLead(w.number(), w.baud());
                there.get().keyed(w.password());
            } else {
                hall.add(fresh(hall, w));
            }
        }
        hall.hang(leads);
        return hall;
    }

    private RigDevice fresh(Hall hall, Wanted w) {
        Profile profile = w.facts().orElseGet(() -> profile(w.profile()));
        Optional<Head> head =
                w.head().map(this::profile).flatMap(Profile::head).or(() -> profile.head());
        return new RigDevice(w, profile, head, this::now, () -> hall.linesOf(w.id()));
    }

    private Profile profile(String id) {
        return profiles.apply(id)
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
