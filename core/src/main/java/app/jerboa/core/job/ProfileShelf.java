package app.jerboa.core.job;

import app.jerboa.core.profile.Profile;
import java.util.Optional;

/** The profiles that this installation knows. */
public interface ProfileShelf {
    Optional<Profile> find(String id);
}
