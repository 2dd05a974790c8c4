package app.jerboa.core.job;

import app.jerboa.core.net.AddressChecks;
import app.jerboa.core.value.Finding;
import java.util.List;
import java.util.function.Function;

/** Every discipline's findings of a job in one order; a new discipline is one more line here. */
public final class JobFindings {
    private static final List<Function<Job, List<Finding>>> DISCIPLINES =
            List.of(job -> AddressChecks.check(JobAddresses.facts(job)));

    private JobFindings() {}

    public static List<Finding> check(Job job) {
        return DISCIPLINES.stream()
                .flatMap(d -> d.apply(job).stream())
                .sorted(Finding.ORDER)
                .toList();
    }
}
