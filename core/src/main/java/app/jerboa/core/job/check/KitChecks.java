package app.jerboa.core.job.check;

import app.jerboa.core.job.Job;
import app.jerboa.core.value.Finding;
import java.util.List;
import java.util.function.Function;

/** Every rule of this package; a new one is one more line here. */
public final class KitChecks {
    private static final List<Function<Job, List<Finding>>> ALL =
            List.of(
                    IdentityCheck::of,
                    FormatCheck::of,
                    FirmwareCheck::of,
                    KitPowerCheck::of,
                    PreparationCheck::of,
                    SchoolCheck::of);

    private KitChecks() {}

    /** O(n log n) in devices and lines. */
    public static List<Finding> check(Job job) {
        return ALL.stream().flatMap(c -> c.apply(job).stream()).toList();
    }
}
