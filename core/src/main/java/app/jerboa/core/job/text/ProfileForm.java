package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.OwnProfile;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Reason;

/** A profile of the job's own between its two forms. */
final class ProfileForm {
    static final ItemForm<OwnProfile> FORM =
            ItemForm.withShelf(ItemKind.PROFILE, OwnProfile.class, ProfileForm::read)
                    .text(Field.FACTS, OwnProfile::facts);

    private ProfileForm() {}

    private static OwnProfile read(Texts t, ProfileShelf shelf) {
        String facts = t.text(Field.FACTS);
        Profile profile = shelf.read(facts);
        if (shelf.shipped(profile.id())) {
            throw t.rejected(Field.FACTS, Reason.of("text.shipped-profile", "id", profile.id()));
        }
        return new OwnProfile(t.id(), profile, facts);
    }
}
