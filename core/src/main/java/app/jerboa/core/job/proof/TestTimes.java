package app.jerboa.core.job.proof;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * How long a test takes in this job, in seconds: the usual times, until enough of them were really
 * done one after the other.
 *
 * @param asked of a question that a machine asks
 * @param seen of one that a person answers
 * @param askedFrom how many times that were really taken stand behind it; 0 for the usual one
 * @param seenFrom likewise
 */
public record TestTimes(int asked, int seen, int askedFrom, int seenFrom) {
    public static final TestTimes USUAL = new TestTimes(5, 30, 0, 0);

    /** Fewer say nothing. */
    private static final int ENOUGH = 5;

    /** Whoever took longer did something else meanwhile. */
    private static final int LONGEST_ASKED = 60;

    private static final int LONGEST_SEEN = 300;

    /** From when the tests of a job were done: the median of the time since the one before. */
    public static TestTimes of(Observed observed) {
        List<Observation> tests = new ArrayList<>(observed.deciding());
        tests.removeIf(o -> !o.topic().test());
        List<Integer> asked = taken(tests, Evidence.ASKED, LONGEST_ASKED);
        List<Integer> seen = taken(tests, Evidence.SEEN, LONGEST_SEEN);
        return new TestTimes(
                asked.isEmpty() ? USUAL.asked : median(asked),
                seen.isEmpty() ? USUAL.seen : median(seen),
                asked.size(),
                seen.size());
    }

    /** Empty for too few. */
    private static List<Integer> taken(
            Collection<Observation> tests, Evidence evidence, int longest) {
        List<Observation> done =
                tests.stream()
                        .filter(o -> o.evidence() == evidence)
                        .sorted(Comparator.comparing(Observation::at))
                        .toList();
        List<Integer> taken = new ArrayList<>();
        for (int i = 1; i < done.size(); i++) {
            Duration since = Duration.between(done.get(i - 1).at(), done.get(i).at());
            int seconds = (int) Math.min(longest + 1, Math.ceil(since.toMillis() / 1000.0));
            // Several facts of one question are stored at one time.
            if (seconds > 0 && seconds <= longest) {
                taken.add(seconds);
            }
        }
        return taken.size() < ENOUGH ? List.of() : taken;
    }

    private static int median(List<Integer> taken) {
        return taken.stream().sorted().skip(taken.size() / 2).findFirst().orElseThrow();
    }
}
