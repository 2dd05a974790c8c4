package app.jerboa.core.bringup;

import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Devices that can never come up because each must wait for another of them. */
public final class WaitingRing {
    private WaitingRing() {}

    /**
     * Devices that wait in a ring or behind one, in the order given; empty when all can come up.
     */
    public static List<DeviceId> of(List<NewDevice> devices) {
        Map<DeviceId, Set<DeviceId>> waiting = new HashMap<>();
        Set<DeviceId> there = devices.stream().map(NewDevice::id).collect(Collectors.toSet());
        Map<DeviceId, List<DeviceId>> followers = new HashMap<>();
        List<DeviceId> free = new ArrayList<>();
        for (NewDevice d : devices) {
            Set<DeviceId> before =
                    d.after().stream().filter(there::contains).collect(Collectors.toSet());
            before.forEach(b -> followers.computeIfAbsent(b, x -> new ArrayList<>()).add(d.id()));
            waiting.put(d.id(), before);
            if (before.isEmpty()) {
                free.add(d.id());
            }
        }
        for (int i = 0; i < free.size(); i++) {
            DeviceId up = free.get(i);
            for (DeviceId f : followers.getOrDefault(up, List.of())) {
                waiting.get(f).remove(up);
                if (waiting.get(f).isEmpty()) {
                    free.add(f);
                }
            }
        }
        return devices.stream().map(NewDevice::id).filter(d -> !waiting.get(d).isEmpty()).toList();
    }
}
