package app.jerboa.core.job.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.RandomJobs;
import app.jerboa.core.job.edit.JobEditor;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Rules that fail at a job are a finding of their own, and the others are heard. */
class BrokenCheckTest {
    @Test
    void whatCouldNotBeCheckedIsSaid() {
        Job job = new JobEditor(RandomJobs.SHELF).read(new RandomJobs(3).items());
        JobCheck broken =
                new JobCheck(
                        "cables",
                        Parts.of(ItemKind.DEVICE),
                        List.of(),
                        j -> {
                            throw new IllegalArgumentException("gauge 13");
                        });
        List<String> told = new ArrayList<>();
        List<Finding> found =
                JobFindings.found(broken, job, (name, e) -> told.add(name + ": " + e.getMessage()));
        assertThat(found).extracting(Finding::code).containsExactly(JobFindings.CHECK_BROKEN);
        assertThat(found.get(0).facts()).containsEntry(Finding.AT, "cables");
        assertThat(told).containsExactly("cables: gauge 13");
    }
}
