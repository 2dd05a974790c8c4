package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Prepared;

/** One thing that was prepared, between its two forms. */
final class PreparedForm {
    static final ItemForm<Prepared> FORM =
            ItemForm.of(ItemKind.PREPARED, Prepared.class, PreparedForm::read)
                    .orNone(Field.DONE_FOR, Prepared::device)
                    .text(Field.DONE_PROFILE, Prepared::profile)
                    .text(Field.DONE_WHAT, Prepared::what)
                    .text(Field.DONE_BY, Prepared::person);

    private PreparedForm() {}

    private static Prepared read(Texts t) {
        return new Prepared(
                t.id(),
                t.deviceOrNone(Field.DONE_FOR),
                t.text(Field.DONE_PROFILE),
                t.text(Field.DONE_WHAT),
                t.text(Field.DONE_BY));
    }
}
