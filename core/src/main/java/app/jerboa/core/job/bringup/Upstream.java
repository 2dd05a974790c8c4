package app.jerboa.core.job.bringup;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What must be at its place first: network switches and links before what hangs on them, a base
 * station before its panel.
 */
final class Upstream {
    private final Cabling cabling;
    private final Map<DeviceId, Set<DeviceId>> before = new HashMap<>();

    private Upstream(Cabling cabling) {
        this.cabling = cabling;
    }

    /** For each device those that come right before it; devices without any are left out. */
    static Map<DeviceId, Set<DeviceId>> of(Cabling cabling) {
        Upstream upstream = new Upstream(cabling);
        upstream.network();
        upstream.baseStations();
        return upstream.before;
    }

    private void add(DeviceId device, DeviceId first) {
        before.computeIfAbsent(device, d -> new LinkedHashSet<>()).add(first);
    }

    /** Outwards from the routers; pieces without one from their first network switch. */
    private void network() {
        Set<DeviceId> seen = new HashSet<>();
        for (DeviceKind root : List.of(DeviceKind.ROUTER, DeviceKind.NETWORK_SWITCH)) {
            for (Device d : cabling.job().devices()) {
                if (d.profile().kind() == root && seen.add(d.id())) {
                    spread(d, seen);
                }
            }
        }
    }

    private void spread(Device root, Set<DeviceId> seen) {
        Deque<Device> next = new ArrayDeque<>(List.of(root));
        while (!next.isEmpty()) {
            Device d = next.removeFirst();
            for (Link link : cabling.at(d.id(), Signal.NETWORK).toList()) {
                Device beyond = link.beyond(d.id()).device();
                if (passesOn(d) && seen.add(beyond.id())) {
                    add(owner(beyond), d.id());
                    next.addLast(beyond);
                }
            }
        }
    }

    private static boolean passesOn(Device d) {
        DeviceKind kind = d.profile().kind();
        return kind == DeviceKind.ROUTER
                || kind == DeviceKind.NETWORK_SWITCH
                || kind == DeviceKind.LINK;
    }

    /** An adapter's network is its camera's. */
    private static DeviceId owner(Device d) {
        return d.profile().networked() ? d.id() : d.fitted().orElse(d.id());
    }

    private void baseStations() {
        for (Line line : cabling.job().lines()) {
            Optional<DeviceId> panel = line.paint().map(Line.Key::controller);
            if (panel.isPresent()) {
                baseStation(line.camera()).ifPresent(b -> add(panel.get(), b));
            }
        }
    }

    private Optional<DeviceId> baseStation(DeviceId camera) {
        return cabling.kit().fitted(camera).stream()
                .map(Device::id)
                .flatMap(adapter -> cabling.at(adapter).stream().map(l -> l.beyond(adapter)))
                .map(Link.Plug::device)
                .filter(d -> d.profile().sort() == Sort.BASE_STATION)
                .map(Device::id)
                .findFirst();
    }
}
