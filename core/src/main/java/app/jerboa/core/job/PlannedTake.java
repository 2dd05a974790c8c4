package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.OptionalInt;

/**
 * One take of a shot list.
 *
 * @param list id of its shot list
 * @param startTenths tenths of a second from the beginning of the list
 * @param lengthTenths that it lasts at least; above 0
 * @param preset as the camera calls it; empty where somebody drives by hand. The camera may keep no
 *     such view: that is told, not refused
 * @param subject blank for what the preset shows
 * @param cue what is waited for; may be blank
 */
public record PlannedTake(
        long id,
        long list,
        int startTenths,
        int lengthTenths,
        DeviceId camera,
        OptionalInt preset,
        String subject,
        String cue)
        implements JobItem {
    private static final double TENTHS = 10;

    /** By start; of two that start together the one that came first. */
    public static final Comparator<PlannedTake> ORDER =
            Comparator.comparingInt(PlannedTake::startTenths).thenComparing(PlannedTake::id);

    /** Seconds from the beginning of the list. */
    public double start() {
        return startTenths / TENTHS;
    }

    /** Seconds. */
    public double length() {
        return lengthTenths / TENTHS;
    }

    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.TAKE, id);
    }
}
