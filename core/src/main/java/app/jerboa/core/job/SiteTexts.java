package app.jerboa.core.job;

import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.Lengths;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** A job's own facts between their two forms. */
final class SiteTexts {
    private static final Map<Work, Field> SECONDS = new EnumMap<>(Work.class);

    static {
        for (Work work : Work.values()) {
            SECONDS.put(work, Field.valueOf("SECONDS_" + work.name()));
        }
    }

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
                        bringUp(i),
                        schools);
        return new Site(i.ref().id(), i.text(Field.SITE_NAME), i.text(Field.UNITS), habits);
    }

    private static Habits.BringUp bringUp(Item i) {
        StepTimes times = StepTimes.usual();
        for (Map.Entry<Work, Field> e : SECONDS.entrySet()) {
            times = times.with(e.getKey(), Integer.parseInt(i.text(e.getValue())));
        }
        return new Habits.BringUp(
                times,
                JobItems.number(i, Field.WORKSHOP),
                Boolean.parseBoolean(i.text(Field.LAPTOP_SERVES)));
    }

    /** Where the seconds of each kind of work are kept. */
    static Field seconds(Work work) {
        return SECONDS.get(work);
    }

    static String text(Site s, Field field) {
        Optional<Work> work =
                SECONDS.entrySet().stream()
                        .filter(e -> e.getValue() == field)
                        .map(Map.Entry::getKey)
                        .findFirst();
        return work.map(w -> Integer.toString(s.habits().bringUp().times().of(w)))
                .orElseGet(() -> habit(s, field));
    }

    private static String habit(Site s, Field field) {
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
            case WORKSHOP -> JobItems.orNone(habits.bringUp().workshopMinutes());
            case LAPTOP_SERVES -> Boolean.toString(habits.bringUp().laptopServes());
            case OUTGOING -> JobItems.orNone(habits.outside().outgoing());
            default -> habits.school(field);
        };
    }
}
