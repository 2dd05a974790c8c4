package app.jerboa.bench;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.proof.BasisFacts;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Observed;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.job.proof.Topic;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** How every test of every line stands, from twenty observations a device. */
final class ProofBench {
    private static final int EACH = 20;
    private static final int ROUNDS = 40;
    private static final long WARM_UP_NANOS = 3_000_000_000L;
    private static final Instant NOW = Instant.parse("2026-05-04T10:00:00Z");

    private ProofBench() {}

    /** Standings of all lines, and as a floor one pass over the observations into a map. */
    record Times(Sample standings, Sample taken, Sample floor) {}

    static Times measure(int devices) {
        Job job = ChecksBench.job(devices);
        List<Observation> all = observations(job);
        Observed observed = Observed.NONE.plus(all);
        Runnable standings = () -> standings(Proof.of(job, observed));
        Runnable taken = () -> Observed.NONE.plus(all);
        Runnable floor = () -> pass(all);
        for (Runnable warm : List.of(standings, taken, floor)) {
            long until = System.nanoTime() + WARM_UP_NANOS;
            while (System.nanoTime() < until) {
                warm.run();
            }
        }
        return new Times(sample(standings), sample(taken), sample(floor));
    }

    private static List<Observation> observations(Job job) {
        BasisFacts basis = BasisFacts.of(job);
        List<Observation> all = new ArrayList<>();
        for (int i = 0; i < EACH; i++) {
            Topic topic = Topic.TESTS.get(i % Topic.TESTS.size());
            for (var d : job.devices()) {
                // Read from a table they are equal to the plan's own, not the same.
                all.add(
                        new Observation(
                                all.size() + 1L,
                                d.id(),
                                topic,
                                "3",
                                Evidence.ASKED,
                                Optional.of(Outcome.OK),
                                NOW,
                                new TreeMap<>(basis.of(d.id(), topic))));
            }
        }
        return all;
    }

    private static void standings(Proof proof) {
        int proved = 0;
        for (var line : proof.job().lines()) {
            proved += (int) proof.tests(line).values().stream().filter(s -> s.proves()).count();
        }
        if (proved == 0) {
            throw new IllegalStateException("nothing is proved");
        }
    }

    private static void pass(List<Observation> all) {
        Map<List<Object>, Observation> newest = new HashMap<>();
        all.forEach(o -> newest.put(List.of(o.device(), o.topic()), o));
        if (newest.isEmpty()) {
            throw new IllegalStateException("nothing was observed");
        }
    }

    private static Sample sample(Runnable task) {
        double[] millis = new double[ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            long start = System.nanoTime();
            task.run();
            millis[i] = (System.nanoTime() - start) / 1e6;
        }
        return Sample.of(millis);
    }
}
