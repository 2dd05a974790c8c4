package app.jerboa.core.job.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/**
 * A set of rules over a job.
 *
 * @param name for the log, when it fails
 * @param reads the kinds of items it looks at: what it found stands while none of them is touched
 * @param codes every code it may report, so that a test can prove each has its wording
 */
public record JobCheck(
        String name,
        Set<ItemKind> reads,
        List<FindingCode> codes,
        Function<Job, List<Finding>> check) {}
