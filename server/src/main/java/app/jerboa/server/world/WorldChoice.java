package app.jerboa.server.world;

import java.util.Arrays;
import java.util.Optional;

/** Where a job's commands go. */
public enum WorldChoice {
    /** Nobody has chosen yet. */
    NONE("", "No network chosen"),
    /** The simulated hall. */
    RIG("rig", "Stand-in rig"),
    /** The machine's own network, with real heads in it. */
    LIVE("live", "Live network");

    private final String wire;
    private final String words;

    WorldChoice(String wire, String words) {
        this.wire = wire;
        this.words = words;
    }

    public String wire() {
        return wire;
    }

    public String words() {
        return words;
    }

    public static Optional<WorldChoice> fromWire(String name) {
        return Arrays.stream(values()).filter(w -> w.wire.equals(name)).findFirst();
    }
}
