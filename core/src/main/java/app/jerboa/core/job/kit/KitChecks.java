package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Every rule of this package; a new one is one more line here. */
public final class KitChecks {
    private static final List<Function<Job, List<Finding>>> ALONE =
            List.of(IdentityCheck::of, FirmwareCheck::of, PreparationCheck::of, PracticeCheck::of);

    /** They look at what a device is joined to. */
    private static final List<Function<Job, List<Finding>>> JOINED =
            List.of(FormatCheck::of, KitPowerCheck::of);

    private KitChecks() {}

    /** O(n log n) in devices and lines. */
    public static List<Finding> check(Job job) {
        return Stream.concat(joined(job).stream(), alone(job).stream()).toList();
    }

    public static List<Finding> alone(Job job) {
        return ALONE.stream().flatMap(c -> c.apply(job).stream()).toList();
    }

    public static List<Finding> joined(Job job) {
        return JOINED.stream().flatMap(c -> c.apply(job).stream()).toList();
    }
}
