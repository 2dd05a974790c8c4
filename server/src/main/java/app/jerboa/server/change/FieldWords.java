package app.jerboa.server.change;

import app.jerboa.core.item.Field;
import app.jerboa.server.words.Words;

/** What a field is called, for people: never as the code or the file calls it. */
public final class FieldWords {
    private FieldWords() {}

    public static String of(Field field) {
        return Words.say("field." + field.kind().wire() + "." + field.wire());
    }
}
