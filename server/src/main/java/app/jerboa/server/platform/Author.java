package app.jerboa.server.platform;

/** Somebody who does something: whoever is signed in. */
public interface Author {
    /** Of the account. */
    long id();

    /** The name others read. */
    String displayName();
}
