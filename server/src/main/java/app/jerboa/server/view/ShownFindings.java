package app.jerboa.server.view;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.value.Made;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.findings.FindingWords;
import java.util.List;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.stream.IntStream;

/**
 * The findings of a job as its pages show them.
 *
 * @param bodies in the order in which they were found
 */
record ShownFindings(
        List<JobFindings.Judged> found,
        Made<Finding, FindingWords.Worded> worded,
        List<FindingBody> bodies) {

    /**
     * @param before with the same names, or with some that are others now
     * @param renamed some are
     */
    @SuppressWarnings("ReferenceEquality") // A list that nothing touched is the same object.
    static ShownFindings of(
            List<JobFindings.Judged> found,
            Optional<ShownFindings> before,
            boolean renamed,
            LongFunction<String> names,
            FindingWords words) {
        Optional<ShownFindings> same = before.filter(b -> !renamed && b.found == found);
        if (same.isPresent()) {
            return same.get();
        }
        Made<Finding, FindingWords.Worded> worded =
                Made.of(
                        found.stream().map(JobFindings.Judged::finding).toList(),
                        before.map(ShownFindings::worded),
                        (f, was) ->
                                was != null && (!renamed || was.holds(names))
                                        ? was
                                        : words.words(f, names));
        return new ShownFindings(found, worded, bodies(found, worded.to()));
    }

    private static List<FindingBody> bodies(
            List<JobFindings.Judged> found, List<FindingWords.Worded> worded) {
        return IntStream.range(0, found.size())
                .mapToObj(i -> worded.get(i).body(found.get(i).waiver()))
                .toList();
    }
}
