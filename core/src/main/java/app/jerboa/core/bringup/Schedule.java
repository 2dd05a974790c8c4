package app.jerboa.core.bringup;

import java.util.List;

/**
 * Who does what when.
 *
 * @param slots in the order of their start
 * @param seconds until all of it is done
 */
record Schedule(List<Slot> slots, int seconds) {
    /** One task done; seconds from the beginning. */
    record Slot(int chain, int task, int start) {}

    Schedule {
        slots = List.copyOf(slots);
    }
}
