package app.jerboa.server.platform;

/** Somebody who does something: whoever is signed in. */
public interface Author {
    /** Of the account; 0 for Jerboa itself. */
    long id();

    /** The name others read. */
    String displayName();

    /** Nobody pressed anything. */
    Author WATCH =
            new Author() {
                @Override
                public long id() {
                    return 0;
                }

                @Override
                public String displayName() {
                    return "Jerboa, watching";
                }
            };
}
