package app.jerboa.server.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.PoeBudget;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.check.JobFindings;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A job that follows others takes over what they had worked out. Whatever was changed on the way,
 * it says the same as one that was read from the start.
 */
class FollowedJobTest {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void saysTheSameAsOneReadFromTheStart(long seed) {
        AtomicInteger step = new AtomicInteger();
        new RandomChanges(seed)
                .walk(
                        200,
                        job -> compare(job, "seed " + seed + ", step " + step.getAndIncrement()));
    }

    private static void compare(Job job, String at) {
        Job anew = RandomChanges.anew(job);
        PowerPlan power = PowerPlan.of(Cabling.of(job));
        PowerPlan powerAnew = PowerPlan.of(Cabling.of(anew));
        assertThat(JobFindings.check(job)).as(at).isEqualTo(JobFindings.check(anew));
        assertThat(Cabling.of(job).links()).as(at).isEqualTo(Cabling.of(anew).links());
        assertThat(Cabling.of(job).refused()).as(at).isEqualTo(Cabling.of(anew).refused());
        assertThat(power.feeds()).as(at).isEqualTo(powerAnew.feeds());
        assertThat(PoeBudget.all(power)).as(at).isEqualTo(PoeBudget.all(powerAnew));
    }
}
