package app.jerboa.server.people;

import app.jerboa.server.platform.Problem;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Accounts and membership of jobs. */
@Service
public class People implements UserDetailsService {
    static final int SHORTEST_PASSWORD = 10;

    /** bcrypt reads no further. */
    static final int LONGEST_PASSWORD = 72;

    private final AccountMapper accounts;
    private final PasswordEncoder passwords;

    People(AccountMapper accounts, PasswordEncoder passwords) {
        this.accounts = accounts;
        this.passwords = passwords;
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
        insistOn("login", login, 1, 60);
        insistOn("name", name, 1, 100);
        insistOn("password", password, SHORTEST_PASSWORD, LONGEST_PASSWORD);
        accounts.lockAccounts();
        if (accounts.insertFirst(login, name, passwords.encode(password)) == 0) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "account-exists",
                    "There is an account already. Sign in with it; it can let others in.");
        }
    }

    private static void insistOn(String field, String text, int shortest, int longest) {
        if (text.strip().length() < shortest || text.length() > longest) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    "The " + field + " needs " + shortest + " to " + longest + " characters.",
                    Map.of("field", field));
        }
    }

    /** The demo's account, with the password that its launcher prints. */
    @Transactional
    public Person demoAccount(String login, String name, String password) {
        accounts.upsert(login, name, passwords.encode(password));
        return loadUserByUsername(login);
    }

    /**
     * @throws Problem not found, exactly as if the job did not exist, when this person is no member
     */
    public void insistOnMember(long job, Person person) {
        if (!accounts.member(job, person.id())) {
            throw Problem.notFound("job");
        }
    }
}
