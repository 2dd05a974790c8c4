package app.jerboa.core.job.edit;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.Set;

/** What must hold between the items of a job: nothing points to something that is not there. */
public final class JobLinks {
    private JobLinks() {}

    /**
     * @param there everything the job has
     * @param looking items whose references are followed
     * @throws ItemRejected for the first reference to an item that is not there
     * @throws ItemMissing without exactly one site and at least one subnet
     */
    public static void check(Set<ItemRef> there, Collection<Item> looking) {
        if (count(there, ItemKind.SITE) != 1) {
            throw new ItemMissing(new ItemRef(ItemKind.SITE, 0), "must be there exactly once");
        }
        if (count(there, ItemKind.SUBNET) == 0) {
            throw new ItemMissing(new ItemRef(ItemKind.SUBNET, 0), "must be there at least once");
        }
        for (Item item : looking) {
            for (Field field : item.ref().kind().fields()) {
                field.type().target().ifPresent(kind -> check(item, field, kind, there));
            }
        }
    }

    /** Kinds that point to others. */
    static boolean pointsOut(ItemKind kind) {
        return kind.fields().stream().anyMatch(f -> f.type().target().isPresent());
    }

    private static long count(Set<ItemRef> there, ItemKind kind) {
        return there.stream().filter(r -> r.kind() == kind).count();
    }

    private static void check(Item item, Field field, ItemKind kind, Set<ItemRef> there) {
        String text = item.text(field);
        if (!text.isEmpty() && !there.contains(new ItemRef(kind, Long.parseLong(text)))) {
            String reason = "there is no " + kind.wire() + " of that number";
            throw new ItemRejected(item.ref(), field, new TextRejected(text, 0, reason));
        }
    }
}
