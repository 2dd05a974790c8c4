package app.jerboa.server.secrets;

import java.util.List;
import java.util.Optional;

/** What the secrets' page shows and sends. */
final class SecretBodies {
    private SecretBodies() {}

    /**
     * Every secret, and every device that should have a password.
     *
     * @param works this server has a key to keep secrets with
     */
    record SecretsBody(boolean works, List<SecretBody> secrets) {}

    /**
     * One secret without what it is; no id when none is kept yet.
     *
     * @param deviceId none for one of the house
     * @param use one of the words of secrets
     * @param name user, network or service
     * @param origin generated, typed or factory; empty when none is kept
     * @param rule how the device comes by its first password; may be empty
     * @param letters what its keys can type without changing mode
     * @param longest password it takes, in characters
     */
    record SecretBody(
            Optional<Long> id,
            Optional<Long> deviceId,
            String device,
            String use,
            String name,
            String origin,
            String rule,
            String letters,
            int longest) {}

    /** No device for one of the house; no id for a new one. */
    record TypeBody(
            Optional<Long> id, Optional<Long> deviceId, String use, String name, String value) {}

    /** Passwords for these devices; one that is kept is replaced. */
    record MakeBody(List<Long> deviceIds) {}

    /**
     * A secret in clear.
     *
     * @param presses how it is typed at the device, one after the other
     * @param oneMode it can be typed there without changing mode
     */
    record ShownBody(String value, List<String> presses, boolean oneMode) {
        @Override
        public String toString() {
            return "ShownBody[…]";
        }
    }
}
