package app.jerboa.core.job;

import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The profiles that this installation knows. */
public interface ProfileShelf {
    Optional<Profile> find(String id);

    /** It ships with the product, so nobody may put another one in its place. */
    boolean shipped(String id);

    /**
     * A profile from its JSON.
     *
     * @throws TextRejected with the reason, when it is none
     */
    Profile read(String facts);

    /** This shelf with a job's own profiles on it; they may not hide a shipped one. */
    default ProfileShelf with(Collection<OwnProfile> own) {
        if (own.isEmpty()) {
            return this;
        }
        Map<String, Profile> byId =
                own.stream()
                        .map(OwnProfile::profile)
                        .collect(Collectors.toMap(Profile::id, p -> p, (a, b) -> a));
        ProfileShelf below = this;
        return new ProfileShelf() {
            @Override
            public Optional<Profile> find(String id) {
                return below.find(id).or(() -> Optional.ofNullable(byId.get(id)));
            }

            @Override
            public boolean shipped(String id) {
                return below.shipped(id);
            }

            @Override
            public Profile read(String facts) {
                return below.read(facts);
            }
        };
    }
}
