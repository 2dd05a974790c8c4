package app.jerboa.server.people;

import app.jerboa.core.value.TextRules;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
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
                    HttpStatus.CONFLICT, "account-exists", Words.say("refused.first-account"));
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
                    Words.say("refused.name-in-use"),
                    Map.of("field", "login"));
        }
        return loadUserByUsername(login);
    }

    private static void insistOn(String field, String text, int shortest, int longest) {
        if (text.strip().length() < shortest || text.length() > longest) {
            throw bad(field, "refused.length", Map.of("least", shortest, "most", longest));
        }
    }

    private static void insistOnPassword(String password) {
        int octets = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.strip().length() < SHORTEST_PASSWORD || octets > LONGEST_PASSWORD) {
            throw bad(
                    "password",
                    "refused.password-length",
                    Map.of("least", SHORTEST_PASSWORD, "most", LONGEST_PASSWORD));
        }
    }

    private static void insistOnName(String field, String text, int longest) {
        insistOn(field, text, 1, longest);
        if (text.chars().anyMatch(c -> Character.isISOControl(c) || c == '<' || c == '>')
                || text.chars().anyMatch(c -> TextRules.turnsDirection((char) c))) {
            throw bad(field, "refused.name-signs", Map.of());
        }
    }

    private static Problem bad(String field, String key, Map<String, Object> facts) {
        Map<String, Object> all = new HashMap<>(facts);
        all.put("field", field);
        return new Problem(
                HttpStatus.BAD_REQUEST, "bad-value", Words.say(key, all), Map.of("field", field));
    }

    /** Another password, and an end to this person's other sessions. */
    @Transactional
    void changePassword(Person person, String old, String fresh, String thisSession) {
        AccountRow row = accounts.byLogin(person.getUsername()).orElseThrow();
        if (!passwords.matches(old, row.passwordHash())) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "wrong-password",
                    Words.say("refused.password"),
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
