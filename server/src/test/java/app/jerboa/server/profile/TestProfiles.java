package app.jerboa.server.profile;

import app.jerboa.server.platform.InnerJson;
import java.io.IOException;
import java.io.UncheckedIOException;
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

    static JsonNode tree(String json) {
        return JSON.mapper().readTree(json);
    }
}
