package app.jerboa.core.job.check;

import app.jerboa.core.job.Job;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.FindingCode;
import java.util.List;
import java.util.function.Function;

/**
 * One discipline's rules over a job.
 *
 * @param codes every code it may report, so that a test can prove each has its wording
 */
public record Discipline(
        String name, List<FindingCode> codes, Function<Job, List<Finding>> check) {}
