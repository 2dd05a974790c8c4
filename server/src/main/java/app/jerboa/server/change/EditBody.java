package app.jerboa.server.change;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemRef;
import app.jerboa.server.words.Words;

/** One field of one item from one text to another, as JSON. */
public record EditBody(String item, long id, String field, String before, String after) {
    public static EditBody of(Edit edit) {
        return new EditBody(
                edit.item().kind().wire(),
                edit.item().id(),
                edit.field().wire(),
                edit.before(),
                edit.after());
    }

    public Edit toEdit() {
        ItemRef ref = ItemBody.ref(item, id);
        Field known =
                Field.fromWire(ref.kind(), field)
                        .orElseThrow(() -> ItemBody.bad("field", Words.say("refused.field")));
        return new Edit(
                ref, known, ItemBody.bounded(known, before), ItemBody.bounded(known, after));
    }
}
