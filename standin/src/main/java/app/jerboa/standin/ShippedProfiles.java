package app.jerboa.standin;

import app.jerboa.core.profile.Profile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;

/** Profiles as they ship with the core. */
public final class ShippedProfiles {
    private ShippedProfiles() {}

    public static Optional<Profile> read(String id) {
        if (!id.matches("[a-z0-9-]{1,64}")) {
            return Optional.empty();
        }
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
