package app.jerboa.core.job;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.value.DeviceId;
import java.util.OptionalInt;

/**
 * A view that is stored in a camera.
 *
 * @param number as the camera calls it
 * @param name may be blank, as {@code note}
 * @param subject what it shows; blank for its name
 */
public record Preset(
        long id, DeviceId camera, int number, String name, String subject, String note, Kept kept)
        implements JobItem {
    /**
     * What was read when it was stored; all empty for one that was only noted.
     *
     * @param pan hundredths of a degree right of the middle
     * @param tilt up of the middle
     * @param zoom 0 to 16384
     * @param knobs {@code iris=12;gain=3}
     * @param at ISO 8601
     */
    public record Kept(
            OptionalInt pan,
            OptionalInt tilt,
            OptionalInt zoom,
            String knobs,
            String at,
            String by) {}

    /** What it shows; blank when nobody said. */
    public String shows() {
        return subject.isBlank() ? name : subject;
    }

    @Override
    public ItemRef ref() {
        return new ItemRef(ItemKind.PRESET, id);
    }
}
