package app.jerboa.server.jobfile;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.cabling.JoinRules;
import app.jerboa.core.job.edit.ChangeConflict;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.edit.LimitRules;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;

/** The demo job, changed again and again by chance; the same for one seed. */
public final class RandomChanges {
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

    private final JobEditor editor =
            new JobEditor(TestProfiles.profiles(), JoinRules::check, LimitRules::check);
    private final Random random;

    public RandomChanges(long seed) {
        random = new Random(seed);
    }

    /** Each job follows the one before it. */
    public void walk(int steps, Consumer<Job> seen) {
        Job job = editor.read(DemoItems.all());
        seen.accept(job);
        for (int done = 0; done < steps; ) {
            Optional<Job> next = changed(job);
            if (next.isPresent()) {
                job = next.get();
                seen.accept(job);
                done++;
            }
        }
    }

    /** The same job, read from the start. */
    public static Job anew(Job job) {
        return Job.of(job.items().toList()).with(job.found());
    }

    /** Empty when what came up by chance cannot be done. */
    private Optional<Job> changed(Job job) {
        ItemKind kind = CHANGED.get(random.nextInt(CHANGED.size()));
        List<? extends JobItem> all = job.items(kind);
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Item one = JobItems.item(all.get(random.nextInt(all.size())));
        Item other = JobItems.item(all.get(random.nextInt(all.size())));
        try {
            return Optional.of(editor.apply(job, change(one, other)))
                    .filter(next -> !next.equals(job));
        } catch (ItemRejected | ItemMissing | ChangeConflict no) {
            return Optional.empty();
        }
    }

    /** A text as another has it, a run of another length, a run that goes or comes. */
    private ChangeSet change(Item one, Item other) {
        boolean run = one.ref().kind() == ItemKind.RUN;
        return switch (random.nextInt(run ? 4 : 1)) {
            case 1 -> edit(one, Field.METRES, Integer.toString(1 + random.nextInt(130)));
            case 2 -> ChangeSet.removing(one);
            case 3 -> ChangeSet.adding(new Item(new ItemRef(ItemKind.RUN, newId()), one.values()));
            default -> {
                List<Field> fields = one.ref().kind().fields();
                Field field = fields.get(random.nextInt(fields.size()));
                yield edit(one, field, other.text(field));
            }
        };
    }

    private long newId() {
        return 10_000L + random.nextInt(10_000);
    }

    private static ChangeSet edit(Item item, Field field, String after) {
        return ChangeSet.edits(List.of(new Edit(item.ref(), field, item.text(field), after)));
    }
}
