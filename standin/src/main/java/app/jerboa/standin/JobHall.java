package app.jerboa.standin;

import app.jerboa.standin.control.RigServer;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.standin.web.WebPort;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JacksonException;

/**
 * The hall of one job file: {@code --job FILE --begin unplugged|as-planned|as-left --control PORT
 * --state FILE --speed S}. Its control interface serves it as hall {@value #HALL}.
 */
final class JobHall {
    static final Set<String> OPTIONS =
            new LinkedHashSet<>(List.of("job", "begin", "control", "state", "speed"));

    private static final String HALL = "1";
    private static final int CONTROL_PORT = 8472;
    private static final String AS_LEFT = "as-left";

    private final Options options;

    JobHall(Options options) {
        this.options = options;
    }

    /** Opens it; what stands where, a line each. */
    List<String> open() throws IOException {
        Path state = Path.of(options.text("state").orElse("hall.json"));
        WebPort.prepare(state);
        String begin = options.text("begin").orElse("unplugged");
        RigFile kept = new RigFile(state);
        boolean left = begin.equals(AS_LEFT);
        Optional<Instant> world = left ? kept.worldNow() : Optional.empty();
        Rig rig =
                new Rig(
                        InstantSource.system(),
                        Main.clock(options, world.orElse(InstantSource.system().instant())));
        if (left) {
            kept.restore(rig);
        }
        Hall hall = rig.furnish(HALL, Json.MAPPER.readTree(job()));
        if (!left) {
            hall.begin(begin);
        }
        RigServer server =
                new RigServer(rig, options.port("control", CONTROL_PORT), Main.saving(kept, rig));
        Main.saveAtTheEnd(kept, rig);
        return said(hall, server.port());
    }

    private byte[] job() throws IOException {
        String file = options.text("job").orElseThrow();
        try {
            byte[] bytes = Files.readAllBytes(Path.of(file));
            Json.MAPPER.readTree(bytes);
            return bytes;
        } catch (NoSuchFileException e) {
            throw new IllegalArgumentException("There is no file \"" + file + "\".", e);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("\"" + file + "\" is no readable JSON", e);
        }
    }

    private static List<String> said(Hall hall, int port) {
        List<String> lines = new ArrayList<>();
        lines.add(
                "The hall of "
                        + hall.plan().name()
                        + ": "
                        + hall.devices().size()
                        + " devices, "
                        + hall.devices().stream().filter(RigDevice::powered).count()
                        + " with power.");
        String at = "http://127.0.0.1:" + port + "/halls/" + HALL;
        lines.add("Hands: " + at + " (docs/formats/hall.openapi.json), truth: " + at + "/truth");
        lines.add(
                "Who answers at an address, and on which loopback ports: " + at + "/reach/ADDRESS");
        return lines;
    }
}
