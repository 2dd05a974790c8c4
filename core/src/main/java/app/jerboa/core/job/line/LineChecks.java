package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Every rule about lines; a new one is one more line here. */
public final class LineChecks {
    private static final List<Function<LinePlan, List<Finding>>> PLANNED =
            List.of(
                    KeyCheck::of,
                    ControlIdCheck::of,
                    NumbersCheck::of,
                    RouteCheck::of,
                    NetworkOptionCheck::of,
                    LensCheck::of);

    /** They look at the runs. */
    private static final List<Function<LinePlan, List<Finding>>> CABLED =
            List.of(OutputCheck::of, ReturnCheck::of);

    private LineChecks() {}

    public static List<Finding> check(Job job) {
        return Stream.of(split(job), planned(job), cabled(job)).flatMap(List::stream).toList();
    }

    /** They look for a free address in another subnet. */
    public static List<Finding> split(Job job) {
        return SplitCheck.of(job);
    }

    public static List<Finding> planned(Job job) {
        return all(PLANNED, job);
    }

    public static List<Finding> cabled(Job job) {
        return all(CABLED, job);
    }

    private static List<Finding> all(List<Function<LinePlan, List<Finding>>> checks, Job job) {
        LinePlan plan = LinePlan.of(job);
        return checks.stream().flatMap(c -> c.apply(plan).stream()).toList();
    }
}
