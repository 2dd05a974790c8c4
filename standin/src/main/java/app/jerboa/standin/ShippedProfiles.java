package app.jerboa.standin;

import app.jerboa.core.profile.Profile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Profiles as they ship with the core. */
public final class ShippedProfiles {
    private static final Map<String, Optional<Profile>> READ = new ConcurrentHashMap<>();

    private ShippedProfiles() {}

    /** They do not change while a program runs: each is read once. */
    public static Optional<Profile> read(String id) {
        return id.matches("[a-z0-9-]{1,64}")
                ? READ.computeIfAbsent(id, ShippedProfiles::parsed)
                : Optional.empty();
    }

    private static Optional<Profile> parsed(String id) {
        String path = "/profiles/" + id + ".profile.json";
        try (InputStream in = Profile.class.getResourceAsStream(path)) {
            return in == null
                    ? Optional.empty()
                    : Optional.of(Json.MAPPER.readValue(in, Profile.class));
        } catch (IOException e) {
            throw new UncheckedIOException("could not read " + path, e);
        }
    }
}
