package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Preset;

/** A preset between its two forms. */
final class PresetForm {
    static final ItemForm<Preset> FORM =
            ItemForm.of(ItemKind.PRESET, Preset.class, PresetForm::read)
                    .value(Field.PRESET_CAMERA, Preset::camera)
                    .whole(Field.PRESET_NUMBER, Preset::number)
                    .text(Field.PRESET_NAME, Preset::name)
                    .text(Field.PRESET_SUBJECT, Preset::subject)
                    .text(Field.PRESET_NOTE, Preset::note)
                    .wholeOrNone(Field.KEPT_PAN, p -> p.kept().pan())
                    .wholeOrNone(Field.KEPT_TILT, p -> p.kept().tilt())
                    .wholeOrNone(Field.KEPT_ZOOM, p -> p.kept().zoom())
                    .text(Field.KEPT_KNOBS, p -> p.kept().knobs())
                    .text(Field.KEPT_AT, p -> p.kept().at())
                    .text(Field.KEPT_BY, p -> p.kept().by());

    private PresetForm() {}

    private static Preset read(Texts t) {
        return new Preset(
                t.id(),
                t.device(Field.PRESET_CAMERA),
                t.whole(Field.PRESET_NUMBER),
                t.text(Field.PRESET_NAME),
                t.text(Field.PRESET_SUBJECT),
                t.text(Field.PRESET_NOTE),
                new Preset.Kept(
                        t.wholeOrNone(Field.KEPT_PAN),
                        t.wholeOrNone(Field.KEPT_TILT),
                        t.wholeOrNone(Field.KEPT_ZOOM),
                        t.text(Field.KEPT_KNOBS),
                        t.text(Field.KEPT_AT),
                        t.text(Field.KEPT_BY)));
    }
}
