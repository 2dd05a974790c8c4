package app.jerboa.server.people;

import app.jerboa.server.platform.Author;
import java.util.List;
import org.springframework.security.core.userdetails.User;

/**
 * Somebody signed in. Kept in the HTTP session, so it is serializable and carries no secret once
 * signed in.
 */
public final class Person extends User implements Author {
    private final long id;
    private final String displayName;

    Person(AccountRow row) {
        super(row.login(), row.passwordHash(), List.of());
        this.id = row.id();
        this.displayName = row.name();
    }

    @Override
    public long id() {
        return id;
    }

    @Override
    public String displayName() {
        return displayName;
    }
}
