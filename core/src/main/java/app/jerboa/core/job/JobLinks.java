package app.jerboa.core.job;

import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.ItemKind;
import app.jerboa.core.value.ItemRef;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;

/** What must hold between the items of a job: nothing points to something that is not there. */
public final class JobLinks {
    private JobLinks() {}

    /**
     * @throws ItemRejected for the first reference to an item that is not there
     * @throws ItemMissing without exactly one site and at least one subnet
     */
    public static void check(Collection<Item> items) {
        Set<ItemRef> there = new HashSet<>();
        items.forEach(i -> there.add(i.ref()));
        insistOnGround(items);
        for (Item item : items) {
            for (Field field : item.ref().kind().fields()) {
                field.type().target().ifPresent(kind -> check(item, field, kind, there));
            }
        }
    }

    private static void insistOnGround(Collection<Item> items) {
        if (count(items, ItemKind.SITE) != 1) {
            throw new ItemMissing(new ItemRef(ItemKind.SITE, 0), "must be there exactly once");
        }
        if (count(items, ItemKind.SUBNET) == 0) {
            throw new ItemMissing(new ItemRef(ItemKind.SUBNET, 0), "must be there at least once");
        }
    }

    private static long count(Collection<Item> items, ItemKind kind) {
        return items.stream().filter(i -> i.ref().kind() == kind).count();
    }

    private static void check(Item item, Field field, ItemKind kind, Set<ItemRef> there) {
        String text = item.text(field);
        if (!text.isEmpty() && !there.contains(new ItemRef(kind, Long.parseLong(text)))) {
            String reason = "there is no " + kind.wire() + " of that number";
            throw new ItemRejected(item.ref(), field, new TextRejected(text, 0, reason));
        }
    }
}
