package app.jerboa.server.change;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemRef;
import java.util.List;

/** A change set as JSON: first adds, then edits in their order, then removes; all or nothing. */
public record ChangesBody(List<ItemBody> adds, List<EditBody> edits, List<RefBody> removes) {
    /** Names an item to be removed. */
    public record RefBody(String item, long id) {
        public ItemRef toRef() {
            return ItemBody.ref(item, id);
        }
    }

    public static ChangesBody of(ChangeSet changes) {
        return new ChangesBody(
                changes.adds().stream().map(ItemBody::of).toList(),
                changes.edits().stream().map(EditBody::of).toList(),
                changes.removes().stream().map(ChangesBody::refBody).toList());
    }

    public static ChangesBody editing(EditBody edit) {
        return new ChangesBody(List.of(), List.of(edit), List.of());
    }

    private static RefBody refBody(Item item) {
        return new RefBody(item.ref().kind().wire(), item.ref().id());
    }

    public List<Item> itemsToAdd() {
        return adds.stream().map(ItemBody::toItem).toList();
    }

    public List<Edit> toEdits() {
        return edits.stream().map(EditBody::toEdit).toList();
    }

    public List<ItemRef> refsToRemove() {
        return removes.stream().map(RefBody::toRef).toList();
    }
}
