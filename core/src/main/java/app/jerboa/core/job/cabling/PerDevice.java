package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * One thing for each device of a list that has one. Copies share where each device stands, so that
 * one of thousands costs next to nothing.
 */
final class PerDevice<T> {
    private final Map<DeviceId, Integer> places;
    private final T[] things;

    private PerDevice(Map<DeviceId, Integer> places, T[] things) {
        this.places = places;
        this.things = things;
    }

    /** Nothing yet for any of these. */
    @SuppressWarnings("unchecked") // An array of things is of no use to anyone but this class.
    static <T> PerDevice<T> of(List<Device> devices) {
        Map<DeviceId, Integer> places = new HashMap<>(2 * devices.size());
        devices.forEach(d -> places.put(d.id(), places.size()));
        return new PerDevice<>(places, (T[]) new Object[places.size()]);
    }

    /** Nothing yet, for the same devices. */
    @SuppressWarnings("unchecked")
    <U> PerDevice<U> empty() {
        return new PerDevice<>(places, (U[]) new Object[things.length]);
    }

    PerDevice<T> copy() {
        return new PerDevice<>(places, things.clone());
    }

    /** Null for none, and for a device that is not in the list. */
    T get(DeviceId device) {
        Integer place = places.get(device);
        return place == null ? null : things[place];
    }

    /** Null for none. */
    void put(DeviceId device, T thing) {
        things[places.get(device)] = thing;
    }
}
