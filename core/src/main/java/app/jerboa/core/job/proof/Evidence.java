package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;
import java.util.Arrays;
import java.util.Optional;

/** How something is known; what comes later in this list weighs more. */
public enum Evidence {
    /** A person ticked it. */
    TOLD,
    /** A person looked. */
    SEEN,
    /** The device or the network answered. */
    ASKED;

    private final String wire = Kebab.of(this);

    public String wire() {
        return wire;
    }

    public static Optional<Evidence> fromWire(String word) {
        return Arrays.stream(values()).filter(e -> e.wire.equals(word)).findFirst();
    }
}
