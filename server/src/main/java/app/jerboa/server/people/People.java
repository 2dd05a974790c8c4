package app.jerboa.server.people;

import app.jerboa.core.value.TextRules;
import app.jerboa.server.platform.Problem;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts: made, found, given another password. */
@Service
public class People implements UserDetailsService {
    static final int SHORTEST_PASSWORD = 10;

    /** Octets in UTF-8: bcrypt reads no further. */
    static final int LONGEST_PASSWORD = 72;

    private final AccountMapper accounts;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    People(
            AccountMapper accounts,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.sessions = sessions;
    }

    @Override
    public Person loadUserByUsername(String login) {
        return accounts.byLogin(login)
                .map(Person::new)
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    public boolean firstAccountNeeded() {
        return accounts.none();
    }

    /** Makes the first account of this installation; refused once there is one. */
    @Transactional
    public void makeFirstAccount(String login, String name, String password) {
        accounts.lockAccounts();
        if (!accounts.none()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "account-exists",
                    "There is an account already. Sign in with it; it can let others in.");
        }
        makeAccount(login, name, password);
    }

    /** Makes an account for somebody who was let in. */
    @Transactional
    Person makeAccount(String login, String name, String password) {
        insistOnName("login", login, 60);
        insistOnName("name", name, 100);
        insistOnPassword(password);
        if (accounts.insert(login, name, passwords.encode(password)) == 0) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "login-in-use",
                    "That sign-in name is in use. Choose another, or sign in if it is yours.",
                    Map.of("field", "login"));
        }
        return loadUserByUsername(login);
    }

    private static void insistOn(String field, String text, int shortest, int longest) {
        if (text.strip().length() < shortest || text.length() > longest) {
            throw bad(field, " needs " + shortest + " to " + longest + " characters.");
        }
    }

    private static void insistOnPassword(String password) {
        int octets = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.strip().length() < SHORTEST_PASSWORD || octets > LONGEST_PASSWORD) {
            throw bad(
                    "password",
                    " needs "
                            + SHORTEST_PASSWORD
                            + " to "
                            + LONGEST_PASSWORD
                            + " characters; signs other than plain letters count as two to four.");
        }
    }

    private static void insistOnName(String field, String text, int longest) {
        insistOn(field, text, 1, longest);
        if (text.chars().anyMatch(c -> Character.isISOControl(c) || c == '<' || c == '>')
                || text.chars().anyMatch(c -> TextRules.turnsDirection((char) c))) {
            throw bad(
                    field,
                    " has no control characters, no angle brackets and no signs that turn the direction of writing.");
        }
    }

    private static Problem bad(String field, String rule) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                "The " + field + rule + " Nothing was changed.",
                Map.of("field", field));
    }

    /** Another password, and an end to this person's other sessions. */
    @Transactional
    void changePassword(Person person, String old, String fresh, String thisSession) {
        AccountRow row = accounts.byLogin(person.getUsername()).orElseThrow();
        if (!passwords.matches(old, row.passwordHash())) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "wrong-password",
                    "That is not your present password. Nothing was changed.",
                    Map.of("field", "old"));
        }
        insistOnPassword(fresh);
        accounts.setPassword(person.id(), passwords.encode(fresh));
        signOutEverywhere(person, thisSession);
    }

    /**
     * Ends every session of this person, on every server.
     *
     * @param but the id of the one that stays; empty for none
     */
    void signOutEverywhere(Person person, String but) {
        sessions.findByPrincipalName(person.getUsername()).keySet().stream()
                .filter(id -> !id.equals(but))
                .forEach(sessions::deleteById);
    }

    /** The demo's account, with the password that its launcher prints. */
    @Transactional
    public Person demoAccount(String login, String name, String password) {
        boolean same =
                accounts.byLogin(login)
                        .filter(a -> a.name().equals(name))
                        .filter(a -> passwords.matches(password, a.passwordHash()))
                        .isPresent();
        if (!same) {
            accounts.upsert(login, name, passwords.encode(password));
        }
        return loadUserByUsername(login);
    }
}
