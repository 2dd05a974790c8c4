package app.jerboa.server.profile;

import app.jerboa.server.platform.InnerJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The shelf without a server around it. */
public final class TestProfiles {
    private static final InnerJson JSON = InnerJson.alone();
    private static final Profiles PROFILES = make();

    private TestProfiles() {}

    private static Profiles make() {
        try {
            return new Profiles(new ProfileReader(JSON));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static Profiles profiles() {
        return PROFILES;
    }

    /** Of every shipped profile. */
    public static List<String> ids() {
        try (Stream<Path> files = Files.list(Path.of("../core/src/main/resources/profiles"))) {
            return files.map(f -> f.getFileName().toString().replace(".profile.json", ""))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static JsonNode tree(String json) {
        return JSON.mapper().readTree(json);
    }
}
