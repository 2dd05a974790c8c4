package app.jerboa.server.run;

import app.jerboa.core.value.Kebab;

/** What a machine can be at for a while. */
public enum RunKind {
    /** Tests of lines and devices. */
    PROVE,
    /** A look at the network for devices. */
    DISCOVERY;

    String wire() {
        return Kebab.of(this);
    }
}
