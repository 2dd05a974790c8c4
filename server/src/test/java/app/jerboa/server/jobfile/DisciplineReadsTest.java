package app.jerboa.server.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.check.JobCheck;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.server.profile.TestProfiles;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a discipline found outlives a change of what it does not read: it must not read more. */
class DisciplineReadsTest {
    private static final int JOBS = 200;

    /** Kinds that can all go from a job that holds together. */
    private static final Set<ItemKind> LOOSE =
            EnumSet.of(
                    ItemKind.RANGE,
                    ItemKind.ROUTE,
                    ItemKind.MOUNT,
                    ItemKind.PRESET,
                    ItemKind.SHOT_LIST,
                    ItemKind.TAKE,
                    ItemKind.RUN,
                    ItemKind.PRICE,
                    ItemKind.PREPARED,
                    ItemKind.SECRET,
                    ItemKind.WAIVER);

    @Test
    void whatItDoesNotReadMayGo() {
        int looked = 0;
        for (long seed = 0; looked < JOBS; seed++) {
            Optional<Job> job = AnyJob.job(seed, TestProfiles.profiles(), TestProfiles.ids());
            if (job.isPresent()) {
                looked++;
                for (JobCheck discipline : JobFindings.CHECKS) {
                    withoutTheRest(job.get(), discipline, seed);
                }
            }
        }
    }

    private static void withoutTheRest(Job job, JobCheck discipline, long seed) {
        Set<ItemKind> kept = EnumSet.complementOf(EnumSet.copyOf(LOOSE));
        kept.addAll(discipline.reads().kinds());
        Job less = Job.of(job.items().filter(i -> kept.contains(i.ref().kind())).toList());
        assertThat(discipline.check().apply(less))
                .as("seed %d: %s, reads %s", seed, discipline.name(), discipline.reads())
                .isEqualTo(discipline.check().apply(job));
    }
}
