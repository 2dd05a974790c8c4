package app.jerboa.server.desk;

import java.util.Optional;
import java.util.function.LongSupplier;

/** A stop that was sent and not yet seen done. Whoever holds the desk's lock calls it. */
final class OwedStop {
    /** One stop: what {@link OwedStop#is} compares. */
    static final class Stop {
        private final long since;
        private final String why;
        private boolean told;

        private Stop(long since, String why) {
            this.since = since;
            this.why = why;
        }

        String why() {
            return why;
        }

        /** Its end was told; nobody need be told that it is late. */
        void tell() {
            told = true;
        }
    }

    private final LongSupplier clock;
    private Stop owed;

    OwedStop(LongSupplier clock) {
        this.clock = clock;
    }

    Stop begin(String why) {
        owed = new Stop(clock.getAsLong(), why);
        return owed;
    }

    boolean is(Stop stop) {
        return owed == stop;
    }

    boolean isOwed() {
        return owed != null;
    }

    void over() {
        owed = null;
    }

    Optional<Stop> now() {
        return Optional.ofNullable(owed);
    }

    /** It is owed for longer than this already. */
    Optional<Stop> after(int millis) {
        return now().filter(s -> clock.getAsLong() - s.since > millis * 1_000_000L);
    }

    /** As {@link #after}, unless that was told; it is told now. */
    Optional<Stop> lateAfter(int millis) {
        Optional<Stop> late = after(millis).filter(s -> !s.told);
        late.ifPresent(Stop::tell);
        return late;
    }
}
