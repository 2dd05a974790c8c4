package app.jerboa.core.job.secret;

import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.Letters;
import app.jerboa.core.profile.Profile;

/**
 * What may be typed at a device.
 *
 * @param letters what its keys can type without changing mode
 * @param longest it takes, in characters
 */
public record SecretPolicy(Letters letters, int longest) {
    private static final int LONGEST_USUAL = 64;

    /** For what is typed on a computer: stream keys, passphrases, tunnel keys. */
    public static final SecretPolicy FREE = new SecretPolicy(Letters.ANY, LONGEST_USUAL);

    public static SecretPolicy of(Profile profile) {
        return profile.access().map(a -> new SecretPolicy(a.letters(), longest(a))).orElse(FREE);
    }

    private static int longest(Access a) {
        return a.longestPassword().orElse(LONGEST_USUAL);
    }

    /** Length of a new one: as many characters as make it safe, as far as the device takes them. */
    int length() {
        int wanted = letters == Letters.DIGITS ? 12 : 14;
        return Math.min(wanted, longest);
    }
}
