package app.jerboa.server.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.JoinRules;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.edit.ChangeConflict;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A job that follows others takes over what they had worked out. Whatever was changed on the way,
 * it says the same as one that was read from the start.
 */
class FollowedJobTest {
    private static final int STEPS = 200;

    private static final List<ItemKind> CHANGED =
            List.of(
                    ItemKind.SITE,
                    ItemKind.DEVICE,
                    ItemKind.LINE,
                    ItemKind.RUN,
                    ItemKind.RUN,
                    ItemKind.MOUNT,
                    ItemKind.ROUTE,
                    ItemKind.RANGE,
                    ItemKind.PRESET,
                    ItemKind.TAKE);

    private final JobEditor editor = new JobEditor(TestProfiles.profiles(), JoinRules::check);

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void saysTheSameAsOneReadFromTheStart(long seed) {
        Random random = new Random(seed);
        Job job = editor.read(DemoItems.all());
        JobFindings.check(job);
        int steps = 0;
        for (int i = 0; steps < STEPS; i++) {
            Optional<Job> next = changed(job, random);
            if (next.isPresent()) {
                job = next.get();
                steps++;
                compare(job, "seed " + seed + ", try " + i);
            }
        }
    }

    private static void compare(Job job, String at) {
        Job anew = Job.of(job.items().toList()).with(job.found());
        assertThat(JobFindings.check(job)).as(at).isEqualTo(JobFindings.check(anew));
        assertThat(Cabling.of(job).links()).as(at).isEqualTo(Cabling.of(anew).links());
        assertThat(Cabling.of(job).refused()).as(at).isEqualTo(Cabling.of(anew).refused());
        assertThat(PowerPlan.of(Cabling.of(job)).feeds())
                .as(at)
                .isEqualTo(PowerPlan.of(Cabling.of(anew)).feeds());
    }

    /** Empty when what came up by chance cannot be done. */
    private Optional<Job> changed(Job job, Random random) {
        ItemKind kind = CHANGED.get(random.nextInt(CHANGED.size()));
        List<? extends JobItem> all = job.items(kind);
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Item one = JobItems.item(all.get(random.nextInt(all.size())));
        Item other = JobItems.item(all.get(random.nextInt(all.size())));
        try {
            return Optional.of(editor.apply(job, change(one, other, random)))
                    .filter(next -> !next.equals(job));
        } catch (ItemRejected | ItemMissing | ChangeConflict no) {
            return Optional.empty();
        }
    }

    /** A text as another has it, a run of another length, a run that goes or comes. */
    private static ChangeSet change(Item one, Item other, Random random) {
        boolean run = one.ref().kind() == ItemKind.RUN;
        return switch (random.nextInt(run ? 4 : 1)) {
            case 1 -> edit(one, Field.METRES, Integer.toString(1 + random.nextInt(130)));
            case 2 -> ChangeSet.removing(one);
            case 3 ->
                    ChangeSet.adding(
                            new Item(new ItemRef(ItemKind.RUN, newId(random)), one.values()));
            default -> {
                List<Field> fields = one.ref().kind().fields();
                Field field = fields.get(random.nextInt(fields.size()));
                yield edit(one, field, other.text(field));
            }
        };
    }

    private static long newId(Random random) {
        return 10_000L + random.nextInt(10_000);
    }

    private static ChangeSet edit(Item item, Field field, String after) {
        return ChangeSet.edits(List.of(new Edit(item.ref(), field, item.text(field), after)));
    }
}
