package app.jerboa.core.job.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.function.Function;

/**
 * A set of rules over a job.
 *
 * @param name for the log, when it fails
 * @param reads what it looks at: what it found stands while nothing of that is touched
 * @param codes every code it may report, so that a test can prove each has its wording
 */
public record JobCheck(
        String name, Parts reads, List<FindingCode> codes, Function<Job, List<Finding>> check) {

    /** Its findings are kept under it: going through all its codes for that would say no more. */
    @Override
    public int hashCode() {
        return name.hashCode();
    }
}
