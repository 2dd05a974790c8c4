package app.jerboa.core.job.cabling.materials;

import java.util.OptionalInt;

/**
 * One line of the list of materials.
 *
 * @param unit {@code m} or {@code piece}
 * @param needed for the runs as drawn
 * @param spare more by the house's habit
 * @param each hundredths for one unit; empty while nobody named a price
 */
public record Material(String name, String unit, double needed, double spare, OptionalInt each) {

    public double total() {
        return needed + spare;
    }

    /** In hundredths; 0 without a price. */
    public long cost() {
        return Math.round(total() * each.orElse(0));
    }
}
