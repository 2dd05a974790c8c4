package app.jerboa.core.value;

/** Identifies one device within Jerboa; stable over edits, never reused. */
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
