package app.jerboa.server.profile;

import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.platform.InnerJson;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Every profile that ships with the core, read once at start. */
@Component
public class Profiles implements ProfileShelf {
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

    @Override
    public Optional<Profile> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Every one, by id. */
    public List<Profile> all() {
        return List.copyOf(byId.values());
    }
}
