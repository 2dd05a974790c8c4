package app.jerboa.core.job;

import app.jerboa.core.profile.Cable;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.Lengths;
import java.util.List;
import java.util.Set;

/** Runs and prices between their two forms. */
final class RunTexts {
    private static final List<String> DIRECTIONS = Field.SUBSCRIBED.type().choices();

    private RunTexts() {}

    static Run run(Item i) {
        String subscribed = i.text(Field.SUBSCRIBED);
        return new Run(
                i.ref().id(),
                end(i, Field.RUN_FROM, Field.FROM_PORT, Field.FROM_PINS),
                end(i, Field.RUN_TO, Field.TO_PORT, Field.TO_PINS),
                Cable.of(i.text(Field.CABLE)),
                JobItems.number(i, Field.GAUGE),
                Boolean.parseBoolean(i.text(Field.CLAD)),
                Integer.parseInt(i.text(Field.CONDUCTORS)),
                Double.parseDouble(i.text(Field.METRES)),
                Boolean.parseBoolean(i.text(Field.POE_ON)),
                i.text(Field.RUN_LABEL),
                i.text(Field.LAID),
                subscribed.isEmpty() ? Set.of() : Set.of(subscribed.split(" ", -1)));
    }

    private static Run.End end(Item i, Field device, Field port, Field pins) {
        return new Run.End(
                new DeviceId(Long.parseLong(i.text(device))), i.text(port), i.text(pins));
    }

    static Price price(Item i) {
        return new Price(
                i.ref().id(), i.text(Field.PRICED), Integer.parseInt(i.text(Field.HUNDREDTHS)));
    }

    static String text(Run r, Field field) {
        return switch (field) {
            case RUN_FROM -> r.from().device().toString();
            case FROM_PORT -> r.from().port();
            case FROM_PINS -> r.from().pins();
            case RUN_TO -> r.to().device().toString();
            case TO_PORT -> r.to().port();
            case TO_PINS -> r.to().pins();
            case CABLE -> r.cable().toString();
            case GAUGE -> JobItems.orNone(r.gauge());
            case CLAD -> Boolean.toString(r.clad());
            case CONDUCTORS -> Integer.toString(r.conductors());
            case METRES -> Lengths.text(r.metres());
            case POE_ON -> Boolean.toString(r.poe());
            case RUN_LABEL -> r.label();
            case LAID -> r.laid();
            case SUBSCRIBED ->
                    String.join(" ", DIRECTIONS.stream().filter(r.subscribed()::contains).toList());
            default -> throw JobItems.wrong(r.ref(), field);
        };
    }

    static String text(Price p, Field field) {
        return switch (field) {
            case PRICED -> p.material();
            case HUNDREDTHS -> Integer.toString(p.hundredths());
            default -> throw JobItems.wrong(p.ref(), field);
        };
    }
}
