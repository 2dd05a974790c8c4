package app.jerboa.standin;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.NetworkSettings;
import app.jerboa.standin.lan.RigDevice;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Keeps the simulated world over a restart: settings and leads of every device, the laptop, the
 * time. The world stands still while the rig is down.
 */
public final class RigFile {
    record Saved(Instant worldNow, double speed, Map<String, SavedHall> halls) {}

    /** {@code also} and {@code leads} are absent in files of before. */
    record SavedHall(
            NetworkSettings laptop,
            Optional<List<NetworkSettings>> also,
            List<SavedDevice> devices,
            Optional<List<Rig.Lead>> leads) {}

    /** What is absent in files of before is as from the factory. */
    record SavedDevice(
            String id,
            String name,
            String profile,
            String mac,
            NetworkSettings settings,
            Optional<Instant> upAt,
            Optional<NetworkSettings> start,
            Optional<String> head,
            int number,
            int baud,
            Optional<Profile> facts,
            Optional<Map<String, Integer>> knobs) {
        /** Without its password: that is in no file. */
        Rig.Wanted wanted() {
            return new Rig.Wanted(
                    id, name, profile, mac, start, head, number, baud, Optional.empty(), facts);
        }
    }

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
            saved.get().halls().forEach((id, hall) -> restore(rig, id, hall));
        }
    }

    private static void restore(Rig rig, String id, SavedHall saved) {
        List<Rig.Wanted> wanted = saved.devices().stream().map(SavedDevice::wanted).toList();
        Hall hall = rig.furnish(id, saved.laptop(), wanted, saved.leads().orElse(List.of()));
        saved.also().orElse(List.of()).forEach(hall::addToLaptop);
        for (SavedDevice d : saved.devices()) {
            hall.device(d.id())
                    .ifPresent(
                            device ->
                                    device.restore(
                                            d.settings(), d.upAt(), d.knobs().orElse(Map.of())));
        }
    }

    private Optional<Saved> read() throws IOException {
        return Files.exists(file)
                ? Optional.of(Json.MAPPER.readValue(Files.readAllBytes(file), Saved.class))
                : Optional.empty();
    }

    /**
     * Written beside and moved over, so that a crash leaves the old or the new state, never half of
     * one.
     */
    public synchronized void save(Rig rig) throws IOException {
        WorldClock clock = rig.clock();
        Map<String, SavedHall> halls = new LinkedHashMap<>();
        rig.halls().forEach((id, hall) -> halls.put(id, saved(hall)));
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.write(
                fresh, Json.MAPPER.writeValueAsBytes(new Saved(rig.now(), clock.speed(), halls)));
        Files.move(
                fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    private static SavedHall saved(Hall hall) {
        return new SavedHall(
                hall.laptop(),
                Optional.of(hall.also()),
                hall.devices().stream().map(RigFile::saved).toList(),
                Optional.of(hall.leads()));
    }

    private static SavedDevice saved(RigDevice d) {
        Rig.Wanted w = d.wanted();
        return new SavedDevice(
                w.id(),
                w.name(),
                w.profile(),
                w.mac(),
                d.settings(),
                d.upAt(),
                w.start(),
                w.head(),
                w.number(),
                w.baud(),
                w.facts(),
                Optional.of(d.knobs()));
    }
}
