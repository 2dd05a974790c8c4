package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import java.util.List;

/** A change set as a command keeps it, with all that its inverse needs. */
record StoredChanges(List<ItemBody> adds, List<EditBody> edits, List<ItemBody> removes) {
    static StoredChanges of(ChangeSet changes) {
        return new StoredChanges(
                changes.adds().stream().map(ItemBody::of).toList(),
                changes.edits().stream().map(EditBody::of).toList(),
                changes.removes().stream().map(ItemBody::of).toList());
    }

    ChangeSet toChangeSet() {
        return new ChangeSet(
                adds.stream().map(ItemBody::toItem).toList(),
                edits.stream().map(EditBody::toEdit).toList(),
                removes.stream().map(ItemBody::toItem).toList());
    }
}
