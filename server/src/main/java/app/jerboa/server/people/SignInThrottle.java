package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Slows guessing down: after some wrong passwords the next try has to wait. Counted in the
 * database, so that all servers count together.
 */
@Component
class SignInThrottle {
    private static final int WITHIN_SECONDS = 600;
    private static final int FOR_ONE_NAME_FROM_ONE_PLACE = 5;
    private static final int FROM_ONE_PLACE = 30;
    private static final int FOR_ONE_NAME = 60;

    private final AccountMapper accounts;

    SignInThrottle(AccountMapper accounts) {
        this.accounts = accounts;
    }

    /**
     * @throws Problem with the seconds to wait
     */
    void insistOnPatience(String login, String origin) {
        int seconds =
                IntStream.of(
                                accounts.secondsToWait(
                                        login, origin, FOR_ONE_NAME_FROM_ONE_PLACE, WITHIN_SECONDS),
                                accounts.secondsToWait("", origin, FROM_ONE_PLACE, WITHIN_SECONDS),
                                accounts.secondsToWait(login, "", FOR_ONE_NAME, WITHIN_SECONDS))
                        .max()
                        .orElse(0);
        if (seconds > 0) {
            throw new Problem(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-tries",
                    "Too many wrong passwords. Wait " + minutes(seconds) + ", then try again.",
                    Map.of("seconds", seconds));
        }
    }

    private static String minutes(int seconds) {
        return seconds < 120 ? seconds + " seconds" : (seconds + 59) / 60 + " minutes";
    }

    void failed(String login, String origin) {
        accounts.noteFailure(login, origin);
    }

    void succeeded(String login, String origin) {
        accounts.forgetFailures(login, origin);
    }
}
