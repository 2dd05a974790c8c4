package app.jerboa.server.profile;

import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Every profile that ships with the core, read once at start; and those of jobs, kept in mind. */
@Component
public class Profiles implements ProfileShelf {
    private static final int KEPT = 500;

    private final ProfileReader reader;
    private final Map<String, Profile> byId = new TreeMap<>();
    private final Map<String, Profile> read = Collections.synchronizedMap(new Recent());

    /** The last ones read, so that a job that is opened often does not read its own anew. */
    private static final class Recent extends LinkedHashMap<String, Profile> {
        Recent() {
            super(16, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Profile> eldest) {
            return size() > KEPT;
        }
    }

    Profiles(ProfileReader reader) throws IOException {
        this.reader = reader;
        var files =
                new PathMatchingResourcePatternResolver()
                        .getResources("classpath*:profiles/*.profile.json");
        for (Resource file : files) {
            try (InputStream in = file.getInputStream()) {
                String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                Profile profile = reader.read(text);
                byId.put(profile.id(), profile);
            }
        }
    }

    @Override
    public Optional<Profile> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    @Override
    public boolean shipped(String id) {
        return byId.containsKey(id);
    }

    @Override
    public Profile read(String facts) {
        Profile known = read.get(facts);
        if (known != null) {
            return known;
        }
        try {
            Profile profile = reader.read(facts);
            read.put(facts, profile);
            return profile;
        } catch (ProfileRejected e) {
            throw new TextRejected(
                    facts, 0, Reason.of("text.profile-wrong", "why", e.getMessage()));
        }
    }

    /**
     * As {@link #read}, from what a person brings.
     *
     * @throws ProfileRejected with every place that is wrong
     */
    public Profile insist(String json) {
        return reader.read(json);
    }

    /** The one way a profile is stored: what is none is left out. */
    public String facts(Profile profile) {
        return reader.write(profile);
    }

    /** As a file that people read. */
    public String file(Profile profile) {
        return reader.pretty(profile);
    }

    /** Every one, by id. */
    public List<Profile> all() {
        return List.copyOf(byId.values());
    }
}
