package app.jerboa.core.value;

/**
 * One field of one device going from one text to another; the smallest thing that can be done and
 * undone. Both sides are kept, so the inverse needs no look-up and a conflict can show both.
 */
public record Change(DeviceId device, Field field, String before, String after) {
    /** The change that takes this one back. */
    public Change inverse() {
        return new Change(device, field, after, before);
    }
}
