package app.jerboa.server.desk;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Whether a camera that nobody drives is there.
 *
 * @param state up, slow or lost; unknown for one that was not asked
 * @param at since when it is so; null for one that was not asked
 * @param millis from the question to the answer then; null without one
 * @param why it is lost, in a sentence; else empty
 */
record Presence(String state, Optional<Instant> at, OptionalInt millis, String why) {
    /** The same bound as for a link that is driven over. */
    private static final int SLOW_MILLIS = 150;

    static final Presence UNKNOWN =
            new Presence("unknown", Optional.empty(), OptionalInt.empty(), "");

    static Presence answered(Instant at, int millis) {
        String state = millis > SLOW_MILLIS ? "slow" : "up";
        return new Presence(state, Optional.of(at), OptionalInt.of(millis), "");
    }

    boolean slow() {
        return state.equals("slow");
    }

    static Presence lost(Instant at, String why) {
        return new Presence("lost", Optional.of(at), OptionalInt.empty(), why);
    }
}
