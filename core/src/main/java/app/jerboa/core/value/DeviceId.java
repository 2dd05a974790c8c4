package app.jerboa.core.value;

/**
 * Identifies one device within its job; stable over edits, export and import, never reused there.
 */
public record DeviceId(long value) implements Comparable<DeviceId> {
    @Override
    public int compareTo(DeviceId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Long.toString(value);
    }
}
