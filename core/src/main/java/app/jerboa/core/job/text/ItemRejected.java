package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.TextRejected;

/** A text that does not say what its field needs; nothing was changed. */
public final class ItemRejected extends RuntimeException {
    private final ItemRef item;
    private final Field field;
    private final TextRejected text;

    public ItemRejected(ItemRef item, Field field, TextRejected text) {
        super(item + ", " + field.wire() + ": " + text.getMessage(), text);
        this.item = item;
        this.field = field;
        this.text = text;
    }

    public ItemRef item() {
        return item;
    }

    public Field field() {
        return field;
    }

    public TextRejected text() {
        return text;
    }
}
