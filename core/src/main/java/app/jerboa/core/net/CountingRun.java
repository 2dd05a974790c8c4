package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.List;

/**
 * A controller that finds its cameras by counting up: key k is at first + (k - firstKey).
 *
 * @param firstKey the number of its first key, 0 or 1
 * @param lastOctetOnly it counts in the last octet only, so the run may not pass .255
 * @param cameras in key order
 */
public record CountingRun(
        DeviceId controller,
        String name,
        int firstKey,
        boolean lastOctetOnly,
        List<Keyed> cameras) {

    /** One camera on one key. */
    public record Keyed(int key, DeviceId camera) {}

    public CountingRun {
        cameras = cameras.stream().sorted(Comparator.comparingInt(Keyed::key)).toList();
        if (cameras.stream().map(Keyed::key).distinct().count() < cameras.size()) {
            throw new IllegalArgumentException("one camera per key in a counting run of " + name);
        }
    }

    int offset(Keyed camera) {
        return camera.key() - firstKey;
    }
}
