package app.jerboa.standin;

import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.lan.HallState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.util.RawValue;

/**
 * Keeps the simulated world over a restart: settings and leads of every device, the laptop, the
 * time. The world stands still while the rig is down.
 */
public final class RigFile {
    /** Raised when a file of before can no longer be read: that one is put aside. */
    private static final int VERSION = 2;

    record Saved(int version, Instant worldNow, double speed, Map<String, SavedHall> halls) {}

    record SavedHall(JsonNode job, HallState state) {}

    /** The same as it is written. */
    record Written(int version, Instant worldNow, double speed, Map<String, WrittenHall> halls) {}

    record WrittenHall(RawValue job, HallState state) {}

    private final Path file;

    public RigFile(Path file) {
        this.file = file;
    }

    /** When the world stood still; empty when nothing was saved. */
    public Optional<Instant> worldNow() throws IOException {
        return read().map(Saved::worldNow);
    }

    public void restore(Rig rig) throws IOException {
        Optional<Saved> saved = read();
        if (saved.isPresent()) {
            saved.get()
                    .halls()
                    .forEach((id, hall) -> rig.furnish(id, hall.job()).restore(hall.state()));
        }
    }

    /** One that this rig cannot read is kept beside, and the halls begin anew. */
    private Optional<Saved> read() throws IOException {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            JsonNode tree = Json.MAPPER.readTree(Files.readAllBytes(file));
            if (tree.path("version").asInt(0) == VERSION) {
                return Optional.of(Json.MAPPER.treeToValue(tree, Saved.class));
            }
        } catch (JacksonException e) {
            System.err.println("The rig's state could not be read: " + e.getOriginalMessage());
        }
        Path aside = file.resolveSibling(file.getFileName() + ".before");
        Files.move(file, aside, StandardCopyOption.REPLACE_EXISTING);
        System.err.println("The halls begin anew; their state of before is in " + aside + ".");
        return Optional.empty();
    }

    /**
     * Written beside and moved over, so that a crash leaves the old or the new state, never half of
     * one.
     */
    public synchronized void save(Rig rig) throws IOException {
        WorldClock clock = rig.clock();
        Map<String, WrittenHall> halls = new LinkedHashMap<>();
        rig.halls()
                .forEach(
                        (id, h) ->
                                halls.put(
                                        id,
                                        new WrittenHall(new RawValue(h.text()), h.hall().state())));
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.write(
                fresh,
                Json.MAPPER.writeValueAsBytes(
                        new Written(VERSION, rig.now(), clock.speed(), halls)));
        Files.move(
                fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
