package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Mount;

/** How and where a camera is fixed, between its two forms. */
final class MountForm {
    static final ItemForm<Mount> FORM =
            ItemForm.of(ItemKind.MOUNT, Mount.class, MountForm::read)
                    .value(Field.MOUNT_CAMERA, Mount::camera)
                    .text(Field.PLACE, Mount::place)
                    .wholeOrNone(Field.FIXING, Mount::fixingKg)
                    .value(Field.BOND, Mount::bond)
                    .value(Field.INVERTED, Mount::inverted)
                    .text(Field.START_VIEW, Mount::startView)
                    .wholeOrNone(Field.LEAD_ALLOWS, Mount::leadAllows)
                    .wholeOrNone(Field.PAN_LIMIT, Mount::panLimit)
                    .wholeOrNone(Field.PLATE_TRAVEL, Mount::plateTravelMm)
                    .text(Field.BUS_SWITCH, m -> m.gimbal().busSwitch())
                    .text(Field.FOLLOW, m -> m.gimbal().follow())
                    .wholeOrNone(Field.SMOOTHNESS, m -> m.gimbal().smoothness());

    private MountForm() {}

    private static Mount read(Texts t) {
        return new Mount(
                t.id(),
                t.device(Field.MOUNT_CAMERA),
                t.text(Field.PLACE),
                t.wholeOrNone(Field.FIXING),
                t.flag(Field.BOND),
                t.flag(Field.INVERTED),
                t.text(Field.START_VIEW),
                t.wholeOrNone(Field.LEAD_ALLOWS),
                t.wholeOrNone(Field.PAN_LIMIT),
                t.wholeOrNone(Field.PLATE_TRAVEL),
                new Mount.Gimbal(
                        t.text(Field.BUS_SWITCH),
                        t.text(Field.FOLLOW),
                        t.wholeOrNone(Field.SMOOTHNESS)));
    }
}
