package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** How a new device comes by its first address. */
public enum FactoryMode {
    /** Always the same one: two of them fight over it. */
    FIXED,
    /** It asks for a lease. */
    LEASE,
    /** It takes one of 169.254.0.0/16. */
    LINK_LOCAL;

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
