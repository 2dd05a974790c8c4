package app.jerboa.core.job;

import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.Lengths;
import java.util.EnumMap;
import java.util.Map;

/** A job's own facts between their two forms. */
final class SiteTexts {
    private SiteTexts() {}

    static Site site(Item i) {
        Map<Field, String> schools = new EnumMap<>(Field.class);
        Schools.MATTERS.forEach(f -> schools.put(f, i.text(f)));
        Habits habits =
                new Habits(
                        i.text(Field.STANDARD),
                        Numbering.of(i.text(Field.NUMBERING)),
                        Integer.parseInt(i.text(Field.POWER_HEADROOM)),
                        Integer.parseInt(i.text(Field.LINK_HEADROOM)),
                        Integer.parseInt(i.text(Field.FIXING_FACTOR)),
                        Double.parseDouble(i.text(Field.USUAL_RUN)),
                        new Habits.Materials(
                                Integer.parseInt(i.text(Field.CABLE_SLACK)),
                                Double.parseDouble(i.text(Field.REEL)),
                                Integer.parseInt(i.text(Field.SPARES))),
                        new Habits.Outside(
                                JobItems.number(i, Field.UPLINK),
                                i.text(Field.SERVICE),
                                JobItems.number(i, Field.OUTGOING)),
                        schools);
        return new Site(i.ref().id(), i.text(Field.SITE_NAME), i.text(Field.UNITS), habits);
    }

    static String text(Site s, Field field) {
        Habits habits = s.habits();
        return switch (field) {
            case SITE_NAME -> s.name();
            case UNITS -> s.units();
            case STANDARD -> habits.standard();
            case NUMBERING -> habits.numbering().word();
            case POWER_HEADROOM -> Integer.toString(habits.powerHeadroom());
            case FIXING_FACTOR -> Integer.toString(habits.fixingFactor());
            case LINK_HEADROOM -> Integer.toString(habits.linkHeadroom());
            case USUAL_RUN -> Lengths.text(habits.usualRun());
            case CABLE_SLACK -> Integer.toString(habits.materials().slack());
            case REEL -> Lengths.text(habits.materials().reel());
            case SPARES -> Integer.toString(habits.materials().spares());
            case UPLINK -> JobItems.orNone(habits.outside().uplink());
            case SERVICE -> habits.outside().service();
            case OUTGOING -> JobItems.orNone(habits.outside().outgoing());
            default -> habits.school(field);
        };
    }
}
