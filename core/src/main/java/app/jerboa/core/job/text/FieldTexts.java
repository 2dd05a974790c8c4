package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Tidy;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.Optional;

/** Texts out of other people's files, made to stand in a field. */
public final class FieldTexts {
    /** None of the fields read here names a profile. */
    private static final ProfileShelf NO_SHELF =
            new ProfileShelf() {
                @Override
                public Optional<Profile> find(String id) {
                    return Optional.empty();
                }

                @Override
                public boolean shipped(String id) {
                    return false;
                }

                @Override
                public Profile read(String facts) {
                    throw new TextRejected(facts, 0, Reason.of("text.no-profile"));
                }
            };

    private FieldTexts() {}

    /** Written the one way, whether it is right or not. */
    public static String tidy(Field field, String text) {
        return Tidy.tidy(field.type(), text, "m");
    }

    /**
     * @throws TextRejected with the place where it stops making sense
     */
    public static String checked(Field field, String text) {
        String tidy = tidy(field, text);
        FieldCheck.check(field.type(), tidy, NO_SHELF);
        return tidy;
    }
}
