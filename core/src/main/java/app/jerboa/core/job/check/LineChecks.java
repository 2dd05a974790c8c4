package app.jerboa.core.job.check;

import app.jerboa.core.job.Job;
import app.jerboa.core.value.Finding;
import java.util.List;
import java.util.function.Function;

/** Every rule about lines; a new one is one more line here. */
public final class LineChecks {
    private static final List<Function<LinePlan, List<Finding>>> ALL =
            List.of(
                    p -> SplitCheck.of(p.job()),
                    KeyCheck::of,
                    ControlIdCheck::of,
                    NumbersCheck::of,
                    RouteCheck::of,
                    NetworkOptionCheck::of,
                    LensCheck::of,
                    OutputCheck::of,
                    ReturnCheck::of);

    private LineChecks() {}

    public static List<Finding> check(Job job) {
        LinePlan plan = LinePlan.of(job);
        return ALL.stream().flatMap(c -> c.apply(plan).stream()).toList();
    }
}
