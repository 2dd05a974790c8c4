package app.jerboa.server.people;

import java.util.List;
import org.springframework.security.core.userdetails.User;

/**
 * Somebody signed in. Kept in the HTTP session, so it is serializable and carries no secret once
 * signed in.
 */
public final class Person extends User {
    private final long id;
    private final String displayName;

    Person(AccountRow row) {
        super(row.login(), row.passwordHash(), List.of());
        this.id = row.id();
        this.displayName = row.name();
    }

    public long id() {
        return id;
    }

    /** The name others read. */
    public String displayName() {
        return displayName;
    }
}
