package app.jerboa.server.findings;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.job.proof.ProofFindings;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The findings of a job; a discipline that fails is logged, each failure once. */
public final class Checks {
    private static final Logger LOG = LoggerFactory.getLogger(Checks.class);
    private static final int MOST_REMEMBERED = 200;
    private static final Set<String> LOGGED = ConcurrentHashMap.newKeySet();

    private record Found(List<JobFindings.Judged> all) {}

    private Checks() {}

    public static List<JobFindings.Judged> of(Job job) {
        return job.worked(Found.class, () -> new Found(JobFindings.check(job, Checks::failed)))
                .all();
    }

    /** Those of the plan, and those of what was seen beside it. */
    public static List<JobFindings.Judged> of(Proof proof) {
        List<Finding> seen = ProofFindings.of(proof);
        if (seen.isEmpty()) {
            return of(proof.job());
        }
        Stream<Finding> planned = of(proof.job()).stream().map(JobFindings.Judged::finding);
        return JobFindings.judged(proof.job(), Stream.concat(planned, seen.stream()).toList());
    }

    private static void failed(String discipline, RuntimeException failure) {
        StackTraceElement[] trace = failure.getStackTrace();
        String reason = discipline + " " + failure + (trace.length == 0 ? "" : " " + trace[0]);
        if (LOGGED.size() < MOST_REMEMBERED && LOGGED.add(reason)) {
            LOG.error("the {} of a job could not be checked", discipline, failure);
        }
    }
}
