package app.jerboa.core.job.secret;

import java.util.Locale;
import java.util.Set;

/** Passwords that anybody would try first: as good as none. */
public final class DefaultPasswords {
    private static final Set<String> TRIED_FIRST =
            Set.of(
                    "",
                    "admin",
                    "administrator",
                    "root",
                    "user",
                    "operator",
                    "password",
                    "default",
                    "camera",
                    "guest",
                    "0000",
                    "1111",
                    "1234",
                    "12345",
                    "123456",
                    "12345678",
                    "9999",
                    "888888");

    private DefaultPasswords() {}

    /**
     * @param user the user it belongs to; the same as the password is as bad
     */
    public static boolean contains(String password, String user) {
        String lower = password.strip().toLowerCase(Locale.ROOT);
        return TRIED_FIRST.contains(lower) || lower.equals(user.strip().toLowerCase(Locale.ROOT));
    }
}
