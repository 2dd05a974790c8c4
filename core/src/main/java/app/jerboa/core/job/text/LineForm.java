package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.value.Reason;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** A line between its two forms. */
final class LineForm {
    static final ItemForm<Line> FORM =
            ItemForm.of(ItemKind.LINE, Line.class, LineForm::read)
                    .whole(Field.NUMBER, Line::number)
                    .value(Field.CAMERA, Line::camera)
                    .whole(Field.CONTROL_ID, Line::controlId)
                    .orNone(Field.CONTROLLER, l -> l.key().map(Line.Key::controller))
                    .orNone(Field.KEY, l -> l.key().map(Line.Key::number))
                    .orNone(Field.ALSO, l -> l.also().map(Line.Key::controller))
                    .orNone(Field.ALSO_KEY, l -> l.also().map(Line.Key::number))
                    .orNone(Field.PANEL, l -> l.paint().map(Line.Key::controller))
                    .orNone(Field.PANEL_KEY, l -> l.paint().map(Line.Key::number))
                    .orNone(Field.SWITCHER, l -> l.input().map(Line.Input::switcher))
                    .orNone(Field.INPUT, l -> l.input().map(Line.Input::number))
                    .wholeOrNone(Field.TALLY, Line::tally)
                    .orNone(Field.WANTS, l -> l.wants().map(LineForm::words));

    private LineForm() {}

    private static Line read(Texts t) {
        return new Line(
                t.id(),
                t.whole(Field.NUMBER),
                t.device(Field.CAMERA),
                t.whole(Field.CONTROL_ID),
                key(t, Field.CONTROLLER, Field.KEY, Reason.of("text.key-together")),
                key(t, Field.ALSO, Field.ALSO_KEY, Reason.of("text.key-together")),
                key(t, Field.PANEL, Field.PANEL_KEY, Reason.of("text.panel-together")),
                key(t, Field.SWITCHER, Field.INPUT, Reason.of("text.input-together"))
                        .map(k -> new Line.Input(k.controller(), k.number())),
                t.wholeOrNone(Field.TALLY),
                wants(t));
    }

    private static Optional<Line.Key> key(Texts t, Field device, Field number, Reason together) {
        boolean there = !t.text(device).isEmpty();
        if (there != !t.text(number).isEmpty()) {
            throw t.rejected(number, together);
        }
        return there
                ? Optional.of(new Line.Key(t.device(device), t.whole(number)))
                : Optional.empty();
    }

    private static Optional<Set<RemoteFunction>> wants(Texts t) {
        String text = t.text(Field.WANTS);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Set<RemoteFunction> wants = EnumSet.noneOf(RemoteFunction.class);
        for (String word : text.split(" ", -1)) {
            wants.add(RemoteFunction.of(word));
        }
        return Optional.of(Collections.unmodifiableSet(wants));
    }

    private static String words(Set<RemoteFunction> wants) {
        return wants.stream().map(RemoteFunction::toString).collect(Collectors.joining(" "));
    }
}
