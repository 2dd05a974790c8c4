package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.DeviceId;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How and where a camera is fixed.
 *
 * @param place blank while nobody noted it
 * @param fixingKg what the fixing is rated for
 * @param bond a second, independent safety bond is there
 * @param startView where it looks after power-up; may be blank
 * @param leadAllows degrees each way before the lead wraps or pulls
 * @param panLimit degrees each way, as set in the head
 * @param plateTravelMm how far the plate slides each way
 * @param gimbal of what stands on a gimbal
 */
public record Mount(
        long id,
        DeviceId camera,
        String place,
        OptionalInt fixingKg,
        boolean bond,
        boolean inverted,
        String startView,
        OptionalInt leadAllows,
        OptionalInt panLimit,
        OptionalInt plateTravelMm,
        Gimbal gimbal)
        implements JobItem {
    private static final Set<String> OVERHEAD = Set.of("ceiling", "truss");

    /**
     * A gimbal's own settings.
     *
     * @param busSwitch position of its control-bus switch; blank while nobody looked
     * @param follow {@code lock}, {@code pan} or {@code pan-and-tilt}; may be blank
     * @param smoothness how much it rounds the stick off, in per cent
     */
    public record Gimbal(String busSwitch, String follow, OptionalInt smoothness) {}

    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.MOUNT, id);
    }

    /** Somebody may stand below it. */
    public boolean overhead() {
        return OVERHEAD.contains(place);
    }
}
