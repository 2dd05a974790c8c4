package app.jerboa.wire.link.session;

import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/** How well a link is answered: up, slow or lost, since when and why, and how long answers take. */
public final class Health {
    /** How a link stands. */
    public enum State {
        /** Nothing was answered yet. */
        UNKNOWN,
        UP,
        /** It answers, but slowly. */
        SLOW,
        LOST
    }

    /**
     * At one moment.
     *
     * @param why in words; empty while it is up
     * @param answers how many took less than 1, 2, 4 ... 1,024 ms, and in the end those that took
     *     longer
     * @param missed how many requests were given up
     */
    public record Seen(State state, Instant since, String why, List<Long> answers, long missed) {
        public Seen {
            answers = List.copyOf(answers);
        }

        /** The bound in ms under which half of the answers came; empty without answers. */
        public Optional<Integer> halfWithinMillis() {
            long all = answers.stream().mapToLong(Long::longValue).sum();
            long sum = 0;
            for (int i = 0; i < answers.size() && all > 0; i++) {
                sum += answers.get(i);
                if (2 * sum >= all) {
                    return Optional.of(1 << i);
                }
            }
            return Optional.empty();
        }
    }

    private static final int BOUNDS = 12;
    private static final long SLOW_NANOS = TimeUnit.MILLISECONDS.toNanos(150);

    /** So many in a row must be as slow, or as quick again. */
    private static final int IN_A_ROW = 3;

    private final InstantSource clock;
    private final Supplier<Optional<String>> trouble;
    private final long[] answers = new long[BOUNDS];
    private State state = State.UNKNOWN;
    private Instant since;
    private String why = "";
    private long missed;
    private int slow;
    private int quick;

    Health(InstantSource clock, Supplier<Optional<String>> trouble) {
        this.clock = clock;
        this.trouble = trouble;
        this.since = clock.instant();
    }

    synchronized void answered(long nanos) {
        long millis = TimeUnit.NANOSECONDS.toMillis(nanos);
        int bound = 64 - Long.numberOfLeadingZeros(millis);
        answers[Math.min(BOUNDS - 1, bound)]++;
        slow = nanos > SLOW_NANOS ? slow + 1 : 0;
        quick = nanos > SLOW_NANOS ? 0 : quick + 1;
        if (slow >= IN_A_ROW) {
            become(State.SLOW, "answers take longer than 150 ms");
        } else if (state != State.SLOW || quick >= IN_A_ROW) {
            become(State.UP, "");
        }
    }

    synchronized void missed(String reason) {
        missed++;
        become(State.LOST, trouble.get().orElse(reason));
    }

    private void become(State next, String reason) {
        if (state != next) {
            state = next;
            since = clock.instant();
        }
        why = reason;
    }

    public synchronized Seen seen() {
        List<Long> counted = new ArrayList<>();
        for (long count : answers) {
            counted.add(count);
        }
        return new Seen(state, since, why, counted, missed);
    }
}
