package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** How a web server wants to know who asks. */
public enum SignIn {
    NOBODY,
    /** RFC 7617. */
    BASIC,
    /** RFC 7616. */
    DIGEST,
    /** A request of its own, after which a cookie stands for the sign-in. */
    COOKIE;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
