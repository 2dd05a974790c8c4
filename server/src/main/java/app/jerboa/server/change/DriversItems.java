package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.SoftLimit;
import app.jerboa.server.people.Members;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Right;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Whoever drives names stored views, lays out shot lists and says how desks steer a head; the rest
 * of a job is planned.
 */
@Component
public class DriversItems {
    private static final Set<ItemKind> KINDS =
            EnumSet.of(ItemKind.PRESET, ItemKind.SHOT_LIST, ItemKind.TAKE);

    private final Members members;

    DriversItems(Members members) {
        this.members = members;
    }

    /**
     * @throws app.jerboa.server.platform.Problem not allowed, for items of other kinds and somebody
     *     who does not plan
     */
    void insist(long job, ChangeSet changes, Author by) {
        boolean only =
                Stream.of(changes.adds().stream(), changes.removes().stream())
                                .flatMap(s -> s)
                                .map(Item::ref)
                                .map(ItemRef::kind)
                                .allMatch(KINDS::contains)
                        && changes.edits().stream().allMatch(DriversItems::isTheirs);
        if (!only) {
            members.insist(job, by, Right.PLAN);
        }
    }

    private static boolean steers(Field field) {
        return field == Field.PAN_ROUND
                || field == Field.TILT_ROUND
                || SoftLimit.FIELDS.contains(field);
    }

    private static boolean isTheirs(Edit edit) {
        return KINDS.contains(edit.item().kind()) || steers(edit.field());
    }
}
