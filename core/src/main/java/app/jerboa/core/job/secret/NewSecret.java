package app.jerboa.core.job.secret;

import app.jerboa.core.profile.Letters;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Makes passwords that can be read off a screen and typed without a slip: no character that looks
 * like another, and one letter mode where they are typed on a panel.
 */
public final class NewSecret {
    private static final String LOWER = "abcdefghijkmnpqrstuvwxyz";
    private static final String UPPER = "ABCDEFGHJKLMNPQRSTUVWXYZ";
    private static final String DIGITS = "23456789";

    private NewSecret() {}

    /**
     * @param random must be fit for secrets
     */
    public static String of(SecretPolicy policy, RandomGenerator random) {
        List<String> kinds = kinds(policy.letters());
        String alphabet = String.join("", kinds);
        String made = draw(alphabet, policy.length(), random);
        while (!hasAll(made, kinds)) {
            made = draw(alphabet, policy.length(), random);
        }
        return made;
    }

    private static List<String> kinds(Letters letters) {
        return switch (letters) {
            case ANY -> List.of(LOWER, UPPER, DIGITS);
            case LOWER_AND_DIGITS -> List.of(LOWER, DIGITS);
            case DIGITS -> List.of(DIGITS);
        };
    }

    private static String draw(String alphabet, int length, RandomGenerator random) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < length; i++) {
            text.append(alphabet.charAt(random.nextInt(alphabet.length())));
        }
        return text.toString();
    }

    /** Many devices refuse a password without a letter of each sort. */
    private static boolean hasAll(String text, List<String> kinds) {
        return kinds.stream().allMatch(k -> text.chars().anyMatch(c -> k.indexOf(c) >= 0));
    }
}
