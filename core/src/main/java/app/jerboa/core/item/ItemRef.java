package app.jerboa.core.item;

import app.jerboa.core.value.DeviceId;

/**
 * Names one item of a job.
 *
 * @param id 1 and up, unique within its job over all kinds and never reused there; below 0 stands
 *     for one that a change set is about to add
 */
public record ItemRef(ItemKind kind, long id) implements Comparable<ItemRef> {
    public static ItemRef of(DeviceId device) {
        return new ItemRef(ItemKind.DEVICE, device.value());
    }

    @Override
    public int compareTo(ItemRef other) {
        int byKind = kind.compareTo(other.kind);
        return byKind != 0 ? byKind : Long.compare(id, other.id);
    }

    @Override
    public String toString() {
        return kind.wire() + " " + id;
    }
}
