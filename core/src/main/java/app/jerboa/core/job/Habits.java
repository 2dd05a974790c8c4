package app.jerboa.core.job;

import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.item.Field;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalInt;

/**
 * How this house likes things done.
 *
 * @param standard the one picture format of the job, for example {@code 1080p50}
 * @param clock how times of day are read out, 24-hour or 12-hour
 * @param powerHeadroom share of a power budget kept free, 0 to 80 per cent
 * @param linkHeadroom share of a link kept free, 0 to 80 per cent
 * @param fixingFactor how many times what hangs overhead its fixing must hold
 * @param usualRun length of a run until it is measured, in metres
 * @param materials how cable and spares are counted
 * @param outside the house's line to the outside
 * @param bringUp what a bring-up goes by
 * @param practices the way chosen in each matter where practitioners differ
 */
public record Habits(
        String standard,
        Numbering numbering,
        String clock,
        int powerHeadroom,
        int linkHeadroom,
        int fixingFactor,
        double usualRun,
        Materials materials,
        Outside outside,
        BringUp bringUp,
        Map<Field, String> practices) {
    /**
     * How cable and spares are counted.
     *
     * @param slack what is cut longer than a run is, in per cent
     * @param reel what a reel holds, in metres
     * @param spares how many more go on the van, in per cent
     */
    public record Materials(int slack, double reel, int spares) {}

    /**
     * The line to the outside and what is sent over it, in Mb/s.
     *
     * @param service may be blank
     */
    public record Outside(OptionalInt uplink, String service, OptionalInt outgoing) {}

    /**
     * What a bring-up goes by.
     *
     * @param times of a technician, until enough were measured
     * @param workshopMinutes there are before the van leaves; empty when there is no time
     * @param laptopServes Jerboa runs on the technician's laptop while others use it
     */
    public record BringUp(StepTimes times, OptionalInt workshopMinutes, boolean laptopServes) {}

    public Habits {
        practices = Collections.unmodifiableMap(new EnumMap<>(practices));
    }

    /** The way chosen in a matter, for example {@code static}. */
    public String practice(Field matter) {
        return practices.get(matter);
    }
}
