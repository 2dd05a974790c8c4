package app.jerboa.core.job.text;

import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Numbering;
import app.jerboa.core.job.Practices;
import app.jerboa.core.job.Site;
import app.jerboa.core.value.Lengths;
import java.util.EnumMap;
import java.util.Map;

/** A job's own facts between their two forms. */
final class SiteForm {
    static final ItemForm<Site> FORM =
            ItemForm.of(ItemKind.SITE, Site.class, SiteForm::read)
                    .text(Field.SITE_NAME, Site::name)
                    .text(Field.UNITS, Site::units)
                    .text(Field.STANDARD, s -> s.habits().standard())
                    .text(Field.NUMBERING, s -> s.habits().numbering().word())
                    .text(Field.CLOCK, s -> s.habits().clock())
                    .whole(Field.POWER_HEADROOM, s -> s.habits().powerHeadroom())
                    .whole(Field.LINK_HEADROOM, s -> s.habits().linkHeadroom())
                    .whole(Field.FIXING_FACTOR, s -> s.habits().fixingFactor())
                    .text(Field.USUAL_RUN, s -> Lengths.text(s.habits().usualRun()))
                    .whole(Field.CABLE_SLACK, s -> s.habits().materials().slack())
                    .text(Field.REEL, s -> Lengths.text(s.habits().materials().reel()))
                    .whole(Field.SPARES, s -> s.habits().materials().spares())
                    .wholeOrNone(Field.UPLINK, s -> s.habits().outside().uplink())
                    .text(Field.SERVICE, s -> s.habits().outside().service())
                    .wholeOrNone(Field.OUTGOING, s -> s.habits().outside().outgoing())
                    .wholeOrNone(Field.WORKSHOP, s -> s.habits().bringUp().workshopMinutes())
                    .value(Field.LAPTOP_SERVES, s -> s.habits().bringUp().laptopServes());

    static {
        for (Work work : Work.values()) {
            FORM.whole(seconds(work), s -> s.habits().bringUp().times().of(work));
        }
        Practices.MATTERS.forEach(f -> FORM.text(f, s -> s.habits().practice(f)));
    }

    private SiteForm() {}

    private static Site read(Texts t) {
        Map<Field, String> practices = new EnumMap<>(Field.class);
        Practices.MATTERS.forEach(f -> practices.put(f, t.text(f)));
        Habits habits =
                new Habits(
                        t.text(Field.STANDARD),
                        Numbering.of(t.text(Field.NUMBERING)),
                        t.text(Field.CLOCK),
                        t.whole(Field.POWER_HEADROOM),
                        t.whole(Field.LINK_HEADROOM),
                        t.whole(Field.FIXING_FACTOR),
                        t.number(Field.USUAL_RUN),
                        new Habits.Materials(
                                t.whole(Field.CABLE_SLACK),
                                t.number(Field.REEL),
                                t.whole(Field.SPARES)),
                        new Habits.Outside(
                                t.wholeOrNone(Field.UPLINK),
                                t.text(Field.SERVICE),
                                t.wholeOrNone(Field.OUTGOING)),
                        bringUp(t),
                        practices);
        return new Site(t.id(), t.text(Field.SITE_NAME), t.text(Field.UNITS), habits);
    }

    private static Habits.BringUp bringUp(Texts t) {
        StepTimes times = StepTimes.usual();
        for (Work work : Work.values()) {
            times = times.with(work, t.whole(seconds(work)));
        }
        return new Habits.BringUp(
                times, t.wholeOrNone(Field.WORKSHOP), t.flag(Field.LAPTOP_SERVES));
    }

    /** Where the seconds of each kind of work are kept. */
    private static Field seconds(Work work) {
        return Field.valueOf("SECONDS_" + work.name());
    }
}
