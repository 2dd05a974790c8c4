package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Waiver;

/** An accepted finding between its two forms. */
final class WaiverForm {
    static final ItemForm<Waiver> FORM =
            ItemForm.of(ItemKind.WAIVER, Waiver.class, WaiverForm::read)
                    .text(Field.WAIVED, Waiver::finding)
                    .text(Field.REASON, Waiver::reason)
                    .text(Field.WAIVED_BY, Waiver::person);

    private WaiverForm() {}

    private static Waiver read(Texts t) {
        return new Waiver(
                t.id(), t.text(Field.WAIVED), t.text(Field.REASON), t.text(Field.WAIVED_BY));
    }
}
