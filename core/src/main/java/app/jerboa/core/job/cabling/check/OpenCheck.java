package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What the plan counts on and no run carries yet. */
final class OpenCheck {
    private OpenCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        List<Device> dark = plan.job().devices().stream().filter(d -> noNetwork(plan, d)).toList();
        about(dark, "network").ifPresent(found::add);
        Set<Line.Input> joined = new HashSet<>();
        for (Link link : plan.cabling().links()) {
            Link.Plug into = link.load();
            joined.add(new Line.Input(into.device().id(), into.socket().number()));
        }
        List<Device> blind =
                plan.job().lines().stream()
                        .filter(l -> l.input().filter(i -> !joined.contains(i)).isPresent())
                        .map(l -> plan.cabling().kit().device(l.camera()))
                        .toList();
        about(blind, "picture").ifPresent(found::add);
        return found;
    }

    private static boolean noNetwork(CablingPlan plan, Device d) {
        boolean wired =
                d.address().isPresent()
                        && d.profile().kind() != DeviceKind.ROUTER
                        && d.profile()
                                .network()
                                .filter(n -> n.medium() != Medium.WIRELESS)
                                .isPresent();
        return wired
                && Stream.concat(
                                Stream.of(d),
                                plan.cabling().kit().fitted(d.id()).stream()
                                        .filter(a -> a.profile().sort() == Sort.NETWORK_ADAPTER))
                        .noneMatch(
                                x ->
                                        plan.cabling()
                                                .at(x.id(), Signal.NETWORK)
                                                .findAny()
                                                .isPresent());
    }

    private static Optional<Finding> about(List<Device> devices, String what) {
        return devices.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Finding.of(
                                CablingCodes.OPEN,
                                devices.stream().map(Device::id).toList(),
                                what.equals("network") ? Field.ADDRESS : Field.INPUT,
                                Map.of("devices", CablingPlan.names(devices), "what", what)));
    }
}
