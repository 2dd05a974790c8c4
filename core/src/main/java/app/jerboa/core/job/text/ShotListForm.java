package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.PlannedShots;

/** A shot list between its two forms. */
final class ShotListForm {
    static final ItemForm<PlannedShots> FORM =
            ItemForm.of(
                            ItemKind.SHOT_LIST,
                            PlannedShots.class,
                            t -> new PlannedShots(t.id(), t.text(Field.SHOTS_NAME)))
                    .text(Field.SHOTS_NAME, PlannedShots::name);

    private ShotListForm() {}
}
