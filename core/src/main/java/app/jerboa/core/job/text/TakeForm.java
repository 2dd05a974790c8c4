package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.PlannedTake;

/** A take between its two forms. */
final class TakeForm {
    static final ItemForm<PlannedTake> FORM =
            ItemForm.of(ItemKind.TAKE, PlannedTake.class, TakeForm::read)
                    .value(Field.TAKE_LIST, PlannedTake::list)
                    .whole(Field.TAKE_START, PlannedTake::startTenths)
                    .whole(Field.TAKE_LENGTH, PlannedTake::lengthTenths)
                    .value(Field.TAKE_CAMERA, PlannedTake::camera)
                    .wholeOrNone(Field.TAKE_PRESET, PlannedTake::preset)
                    .text(Field.TAKE_SUBJECT, PlannedTake::subject)
                    .text(Field.TAKE_CUE, PlannedTake::cue);

    private TakeForm() {}

    private static PlannedTake read(Texts t) {
        return new PlannedTake(
                t.id(),
                Long.parseLong(t.text(Field.TAKE_LIST)),
                t.whole(Field.TAKE_START),
                t.whole(Field.TAKE_LENGTH),
                t.device(Field.TAKE_CAMERA),
                t.wholeOrNone(Field.TAKE_PRESET),
                t.text(Field.TAKE_SUBJECT),
                t.text(Field.TAKE_CUE));
    }
}
