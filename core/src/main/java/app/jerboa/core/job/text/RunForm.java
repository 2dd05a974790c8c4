package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.value.Lengths;
import java.util.List;
import java.util.Set;

/** A run between its two forms. */
final class RunForm {
    private static final List<String> DIRECTIONS = Field.SUBSCRIBED.type().choices();

    static final ItemForm<Run> FORM =
            ItemForm.of(ItemKind.RUN, Run.class, RunForm::read)
                    .value(Field.RUN_FROM, r -> r.from().device())
                    .text(Field.FROM_PORT, r -> r.from().port())
                    .text(Field.FROM_PINS, r -> r.from().pins())
                    .value(Field.RUN_TO, r -> r.to().device())
                    .text(Field.TO_PORT, r -> r.to().port())
                    .text(Field.TO_PINS, r -> r.to().pins())
                    .value(Field.CABLE, Run::cable)
                    .wholeOrNone(Field.GAUGE, Run::gauge)
                    .value(Field.CLAD, Run::clad)
                    .whole(Field.CONDUCTORS, Run::conductors)
                    .text(Field.METRES, r -> Lengths.text(r.metres()))
                    .value(Field.POE_ON, Run::poe)
                    .text(Field.RUN_LABEL, Run::label)
                    .text(Field.LAID, Run::laid)
                    .text(Field.SUBSCRIBED, RunForm::subscribed);

    private RunForm() {}

    private static Run read(Texts t) {
        String subscribed = t.text(Field.SUBSCRIBED);
        return new Run(
                t.id(),
                end(t, Field.RUN_FROM, Field.FROM_PORT, Field.FROM_PINS),
                end(t, Field.RUN_TO, Field.TO_PORT, Field.TO_PINS),
                Cable.of(t.text(Field.CABLE)),
                t.wholeOrNone(Field.GAUGE),
                t.flag(Field.CLAD),
                t.whole(Field.CONDUCTORS),
                t.number(Field.METRES),
                t.flag(Field.POE_ON),
                t.text(Field.RUN_LABEL),
                t.text(Field.LAID),
                subscribed.isEmpty() ? Set.of() : Set.of(subscribed.split(" ", -1)));
    }

    private static Run.End end(Texts t, Field device, Field port, Field pins) {
        return new Run.End(t.device(device), t.text(port), t.text(pins));
    }

    private static String subscribed(Run run) {
        return String.join(" ", DIRECTIONS.stream().filter(run.subscribed()::contains).toList());
    }
}
