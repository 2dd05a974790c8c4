package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.profile.Profile;

/**
 * A profile of the job's own.
 *
 * @param facts its JSON as it is stored
 */
public record OwnProfile(long id, Profile profile, String facts) implements JobItem {
    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.PROFILE, id);
    }
}
