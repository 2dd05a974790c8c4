package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;
import java.util.Arrays;
import java.util.Optional;

/** What a test came to. */
public enum Outcome {
    OK,
    /** Something else was found than the plan says. */
    DIFFERS,
    FAILED,
    CANNOT_TELL;

    private final String wire = Kebab.of(this);

    public String wire() {
        return wire;
    }

    public static Optional<Outcome> fromWire(String word) {
        return Arrays.stream(values()).filter(o -> o.wire.equals(word)).findFirst();
    }
}
