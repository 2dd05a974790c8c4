package app.jerboa.core.job.proof;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.TextRejected;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * All observations of a job, as far as they still say something: of each device and topic the one
 * that decides and the newest value. More can be added without looking at the older ones again.
 */
public final class Observed {
    public static final Observed NONE = new Observed(Map.of(), 0);

    /** Of one device. */
    private static final class Of {
        private final Map<Topic, Observation> deciding = new EnumMap<>(Topic.class);
        private final Map<Topic, Observation> values = new EnumMap<>(Topic.class);

        Of() {}

        Of(Of before) {
            deciding.putAll(before.deciding);
            values.putAll(before.values);
        }

        void add(Observation o) {
            if (o.happening().filter(Happening::moves).isPresent()) {
                values.remove(Topic.ADDRESS);
            }
            if (!o.value().isBlank()) {
                values.put(o.topic(), o);
            }
            Observation before = deciding.get(o.topic());
            if (before == null ? o.outcome().isPresent() : o.overrules(before)) {
                deciding.put(o.topic(), o);
            }
        }
    }

    private final Map<DeviceId, Of> devices;
    private final long last;

    private Observed(Map<DeviceId, Of> devices, long last) {
        this.devices = devices;
        this.last = last;
    }

    /**
     * @param more in the order of their numbers, each above {@link #last}
     */
    public Observed plus(Collection<Observation> more) {
        if (more.isEmpty()) {
            return this;
        }
        Map<DeviceId, Of> all = new HashMap<>(devices);
        Map<DeviceId, Of> touched = new HashMap<>();
        long highest = last;
        for (Observation o : more) {
            if (o.number() <= highest) {
                throw new IllegalArgumentException(
                        "observation " + o.number() + " comes after " + highest);
            }
            highest = o.number();
            touched.computeIfAbsent(
                            o.device(), d -> all.containsKey(d) ? new Of(all.get(d)) : new Of())
                    .add(o);
        }
        all.putAll(touched);
        return new Observed(all, highest);
    }

    /** The highest number; 0 when there are none. */
    public long last() {
        return last;
    }

    /** Nothing at all was observed of any device. */
    public boolean nothing() {
        return devices.isEmpty();
    }

    /** Anything at all was observed of it. */
    boolean knows(DeviceId device) {
        return devices.containsKey(device);
    }

    /** The one that says how a test of a device stands. */
    public Optional<Observation> deciding(DeviceId device, Topic topic) {
        return Optional.ofNullable(devices.get(device)).map(d -> d.deciding.get(topic));
    }

    /** All that say how a test stands, in no order. */
    Collection<Observation> deciding() {
        return devices.values().stream().flatMap(of -> of.deciding.values().stream()).toList();
    }

    /** The newest value of a fact. */
    public Optional<Observation> value(DeviceId device, Topic topic) {
        return Optional.ofNullable(devices.get(device)).map(d -> d.values.get(topic));
    }

    /** The last thing that happened to a device, if anything did. */
    Optional<Observation> happened(DeviceId device) {
        return value(device, Topic.HAPPENING);
    }

    /** Where devices last answered from. */
    public Map<DeviceId, Ipv4> found() {
        Map<DeviceId, Ipv4> found = new HashMap<>();
        devices.forEach(
                (id, of) ->
                        Optional.ofNullable(of.values.get(Topic.ADDRESS))
                                .flatMap(o -> address(o.value()))
                                .ifPresent(a -> found.put(id, a)));
        return found;
    }

    private static Optional<Ipv4> address(String text) {
        try {
            return Optional.of(Ipv4.parse(text));
        } catch (TextRejected e) {
            return Optional.empty();
        }
    }
}
