package app.jerboa.core.job.proof;

import app.jerboa.core.value.DeviceId;
import java.time.Instant;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * One fact about one device at one time.
 *
 * @param number counted up within a job: a later one has a higher number
 * @param value as a text; blank where a test says all by its outcome
 * @param outcome of a test; empty for a mere fact
 * @param basis the planned facts it rests on, by value, as they were
 */
public record Observation(
        long number,
        DeviceId device,
        Topic topic,
        String value,
        Evidence evidence,
        Optional<Outcome> outcome,
        Instant at,
        SortedMap<String, String> basis) {
    public Observation {
        if (number < 1) {
            throw new IllegalArgumentException("observations count from 1, got " + number);
        }
        basis = Collections.unmodifiableSortedMap(new TreeMap<>(basis));
    }

    /** A new one, not numbered by its job yet. */
    public static Observation of(
            DeviceId device,
            Topic topic,
            String value,
            Evidence evidence,
            Optional<Outcome> outcome,
            Instant at,
            Map<String, String> basis) {
        return new Observation(
                Long.MAX_VALUE, device, topic, value, evidence, outcome, at, new TreeMap<>(basis));
    }

    /** What happened, of an observation about that. */
    public Optional<Happening> happening() {
        return topic == Topic.HAPPENING ? Happening.fromWire(value) : Optional.empty();
    }

    /** It says that something is not as it should be. */
    boolean bad() {
        return outcome.filter(o -> o == Outcome.DIFFERS || o == Outcome.FAILED).isPresent();
    }

    /**
     * Whether it decides how its test stands, after another that did: the newest does, but a tick
     * lifts nothing that was found wrong.
     */
    boolean overrules(Observation before) {
        return outcome.isPresent() && !(evidence == Evidence.TOLD && before.bad());
    }
}
