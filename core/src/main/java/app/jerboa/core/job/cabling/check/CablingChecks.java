package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Every rule about runs; a new one is one more line here. */
public final class CablingChecks {
    private static final List<Function<CablingPlan, List<Finding>>> LAID =
            List.of(
                    PortCheck::of,
                    LinkChecks::of,
                    EndsCheck::outdoors,
                    PoeBudgetCheck::of,
                    PoeRunCheck::of,
                    PoeNoneCheck::of,
                    DcCheck::of,
                    SerialLeadCheck::of,
                    BusCheck::of,
                    StreamCheck::of);

    /**
     * They look at what is joined to what, over runs however long, and offer no fix that holds a
     * run.
     */
    private static final List<Function<CablingPlan, List<Finding>>> JOINED =
            List.of(OpenCheck::of, SerialSettingCheck::of);

    private CablingChecks() {}

    public static List<Finding> check(Job job) {
        return Stream.concat(joined(job).stream(), laid(job).stream()).toList();
    }

    public static List<Finding> laid(Job job) {
        return all(LAID, job);
    }

    public static List<Finding> joined(Job job) {
        return all(JOINED, job);
    }

    /** Nothing before the first run is there. */
    private static List<Finding> all(List<Function<CablingPlan, List<Finding>>> checks, Job job) {
        if (job.runs().isEmpty()) {
            return List.of();
        }
        CablingPlan plan = CablingPlan.of(job);
        return checks.stream().flatMap(c -> c.apply(plan).stream()).toList();
    }
}
