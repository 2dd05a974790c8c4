package app.jerboa.server.bringup;

import java.util.List;
import java.util.OptionalInt;

/**
 * Every method side by side.
 *
 * @param devices how many are new
 * @param recommended one of the methods; empty when something is in the way
 * @param reason why that one, in words
 * @param workshopAdvised something will hang out of reach and there is time before the van leaves
 * @param high names of new devices that will hang out of reach; may be empty
 * @param workshopMinutes there are, if there is a workshop
 * @param laptopServes Jerboa runs on the technician's laptop while others use it
 * @param blockedBy what keeps it from starting, in words
 * @param times what the sums are made of
 */
public record MethodsView(
        int devices,
        boolean workshop,
        List<MethodBody> methods,
        String recommended,
        String reason,
        boolean workshopAdvised,
        String high,
        OptionalInt workshopMinutes,
        boolean laptopServes,
        List<String> blockedBy,
        List<TimeBody> times) {

    /**
     * One method.
     *
     * @param seconds of one technician, from the first step to the last, for the addresses alone
     * @param otherwise names of devices it cannot reach, which are reached as by a second address
     * @param exact no order by this method takes less
     * @param steps in the whole run sheet
     * @param allSeconds of the whole run sheet, connections and controllers included
     */
    public record MethodBody(
            String method,
            int seconds,
            int hops,
            int addresses,
            String otherwise,
            boolean exact,
            int steps,
            int allSeconds) {}

    /**
     * The seconds of one kind of work.
     *
     * @param field of the site where the job's own seconds stand
     * @param job the job's own seconds
     * @param taken how many times counted
     */
    public record TimeBody(String work, String field, int seconds, int job, int taken) {}
}
