package app.jerboa.standin;

import app.jerboa.core.job.Job;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.RigDevice;
import java.time.Instant;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** All simulated halls and the one clock of the simulated world. */
public final class Rig {
    private final InstantSource wall;
    private final Map<String, Furnished> halls = new LinkedHashMap<>();
    private volatile WorldClock clock;

    /**
     * A hall with the file of the job that it stands for.
     *
     * @param file as it was given
     * @param text the same, written once: it is saved whenever anything happens in any hall
     */
    public record Furnished(JsonNode file, String text, Hall hall) {}

    public Rig(InstantSource wall, WorldClock clock) {
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

    public synchronized Map<String, Furnished> halls() {
        return new LinkedHashMap<>(halls);
    }

    public synchronized Optional<Hall> hall(String id) {
        return Optional.ofNullable(halls.get(id)).map(Furnished::hall);
    }

    /**
     * Builds a hall, or adapts one: devices it knows keep their state, new ones come fresh from the
     * box and unplugged, the rest is taken out.
     *
     * @throws IllegalArgumentException for what is no job file
     */
    public synchronized Hall furnish(String id, JsonNode file) {
        Job job = JobFile.read(file);
        Hall hall =
                hall(id).map(
                                h -> {
                                    h.follow(job);
                                    return h;
                                })
                        .orElseGet(() -> new Hall(job, this::now));
        halls.put(id, new Furnished(file, file.toString(), hall));
        return hall;
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

    public synchronized JsonNode needFile(String id) {
        return Optional.ofNullable(halls.get(id))
                .orElseThrow(() -> new Missing("no hall " + id))
                .file();
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
