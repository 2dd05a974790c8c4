package app.jerboa.core.job.edit;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;

/** What must hold between the items of a job: nothing points to something that is not there. */
public final class JobLinks {
    private JobLinks() {}

    /**
     * @param sites how many the job has
     * @param subnets how many it has
     * @throws ItemMissing without exactly one site and at least one subnet
     */
    static void insistOnGround(long sites, long subnets) {
        if (sites != 1) {
            throw new ItemMissing(new ItemRef(ItemKind.SITE, 0), "must be there exactly once");
        }
        if (subnets == 0) {
            throw new ItemMissing(new ItemRef(ItemKind.SUBNET, 0), "must be there at least once");
        }
    }

    /**
     * @param looking items whose references are followed
     * @throws ItemRejected for the first reference to an item that the job does not have
     */
    static void check(Job job, Collection<Item> looking) {
        for (Item item : looking) {
            for (Field field : item.ref().kind().fields()) {
                field.type().target().ifPresent(kind -> check(item, field, kind, job));
            }
        }
    }

    /** Kinds that point to others. */
    static boolean pointsOut(ItemKind kind) {
        return kind.fields().stream().anyMatch(f -> f.type().target().isPresent());
    }

    private static void check(Item item, Field field, ItemKind kind, Job job) {
        String text = item.text(field);
        if (!text.isEmpty() && !job.has(kind, Long.parseLong(text))) {
            Reason reason = Reason.of("text.no-item", "kind", kind.wire());
            throw new ItemRejected(item.ref(), field, new TextRejected(text, 0, reason));
        }
    }
}
