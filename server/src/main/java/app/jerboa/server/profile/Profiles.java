package app.jerboa.server.profile;

import app.jerboa.core.profile.Profile;
import app.jerboa.server.platform.InnerJson;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Every profile that ships with the core, read once at start. */
@Component
public class Profiles {
    private final Map<String, Profile> byId = new TreeMap<>();

    Profiles(InnerJson json) throws IOException {
        var files =
                new PathMatchingResourcePatternResolver()
                        .getResources("classpath*:profiles/*.profile.json");
        for (Resource file : files) {
            try (InputStream in = file.getInputStream()) {
                Profile profile = json.mapper().readValue(in, Profile.class);
                byId.put(profile.id(), profile);
            }
        }
    }

    /**
     * @throws IllegalStateException for an id no profile has: stored jobs name only known ones
     */
    public Profile need(String id) {
        Profile profile = byId.get(id);
        if (profile == null) {
            throw new IllegalStateException("no profile \"" + id + "\" ships with this version");
        }
        return profile;
    }
}
