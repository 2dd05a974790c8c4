package app.jerboa.server.jobfile;

import app.jerboa.core.item.Item;
import app.jerboa.server.profile.TestProfiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The demo without a server around it. */
public final class DemoItems {
    private static final Path FILE = Path.of("src/main/resources/demo/demo.jerboa.json");

    private DemoItems() {}

    public static List<Item> all() {
        try {
            return JobFileReader.read(Files.readAllBytes(FILE), TestProfiles.profiles()).items();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
