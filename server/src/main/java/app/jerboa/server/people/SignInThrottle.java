package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Slows guessing down: after some wrong passwords the next try has to wait. Each try is counted
 * before its password is looked at, so that many at once are no way round, and in the database, so
 * that all servers count together. A browser that somebody has signed in with before is counted by
 * itself: whoever guesses from elsewhere, or from the same house, locks nobody out there.
 */
@Component
class SignInThrottle {
    private static final int WITHIN_SECONDS = 600;
    private static final int FOR_ONE_NAME_FROM_ONE_PLACE = 5;
    private static final int FROM_ONE_PLACE = 60;
    private static final int FOR_ONE_NAME = 60;
    private static final int FROM_A_KNOWN_BROWSER = 10;

    private final AccountMapper accounts;

    SignInThrottle(AccountMapper accounts) {
        this.accounts = accounts;
    }

    /**
     * Counts a try and lets it be made.
     *
     * @param origin the address it comes from
     * @param browser hash of what a browser that is known to this login keeps; empty for others
     * @param look looks at the password
     * @throws Problem with the seconds to wait, before it is looked at; or what {@code look} throws
     */
    <T> T tried(String login, String origin, String browser, Supplier<T> look) {
        boolean known = !browser.isEmpty() && accounts.knownBrowser(login, browser) > 0;
        String place = known ? "browser " + browser : origin;
        long id = accounts.noteTry(login, place);
        int seconds = known ? ofKnown(login, place) : ofStranger(login, place);
        if (seconds > 0) {
            accounts.takeBackTry(id);
            throw new Problem(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-tries",
                    Words.say("refused.sign-in-wait", Map.of("time", minutes(seconds))),
                    Map.of("seconds", seconds));
        }
        T found = look.get();
        accounts.takeBackTry(id);
        accounts.forgetFailures(login, place);
        return found;
    }

    private int ofKnown(String login, String place) {
        return accounts.secondsToWait(login, place, FROM_A_KNOWN_BROWSER, WITHIN_SECONDS);
    }

    private int ofStranger(String login, String origin) {
        int both =
                accounts.secondsToWait(login, origin, FOR_ONE_NAME_FROM_ONE_PLACE, WITHIN_SECONDS);
        int place = accounts.secondsToWait("", origin, FROM_ONE_PLACE, WITHIN_SECONDS);
        int name = accounts.secondsToWait(login, "", FOR_ONE_NAME, WITHIN_SECONDS);
        return Math.max(both, Math.max(place, name));
    }

    private static String minutes(int seconds) {
        return seconds < 120 ? seconds + " seconds" : (seconds + 59) / 60 + " minutes";
    }
}
