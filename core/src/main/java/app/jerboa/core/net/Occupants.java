package app.jerboa.core.net;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/** Devices that stand on usable addresses and have not been placed yet; they could make room. */
final class Occupants implements Obstacles {
    private final NavigableMap<Long, List<AddressedDevice>> byAddress = new TreeMap<>();

    void add(AddressedDevice device) {
        device.address()
                .ifPresent(
                        a ->
                                byAddress
                                        .computeIfAbsent(a.bits(), x -> new ArrayList<>(1))
                                        .add(device));
    }

    void remove(AddressedDevice device) {
        device.address()
                .ifPresent(
                        a ->
                                byAddress.computeIfPresent(
                                        a.bits(),
                                        (x, there) -> {
                                            there.remove(device);
                                            return there.isEmpty() ? null : there;
                                        }));
    }

    /** The device that stands there; one that is set on site goes before others. */
    Optional<AddressedDevice> at(Ipv4 address) {
        return byAddress.getOrDefault(address.bits(), List.of()).stream()
                .max(Comparator.comparing(AddressedDevice::set));
    }

    @Override
    public long endOfLastOverlap(long first, long last) {
        Map.Entry<Long, List<AddressedDevice>> nearest = byAddress.floorEntry(last);
        return nearest != null && nearest.getKey() >= first ? nearest.getKey() : -1;
    }
}
