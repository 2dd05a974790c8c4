package app.jerboa.core.job.addresses;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.net.AddressCodes;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Devices that more than one interface of this machine leads to: the system picks one, and it may
 * be the wrong one. It is about the machine as much as about the plan, so that it is no check of
 * the job.
 */
public final class OverlapCheck {
    private OverlapCheck() {}

    /** One finding for all of them, or none. */
    public static List<Finding> of(Job job, List<OwnLink> links) {
        List<Device> torn =
                job.devices().stream().filter(d -> leading(d, links).size() > 1).toList();
        if (torn.isEmpty()) {
            return List.of();
        }
        String interfaces =
                torn.stream()
                        .flatMap(d -> leading(d, links).values().stream().flatMap(List::stream))
                        .distinct()
                        .map(l -> l.link() + " " + l.text())
                        .sorted()
                        .collect(Collectors.joining(", "));
        Map<String, String> facts = Map.of("interfaces", interfaces, "device", torn.get(0).name());
        List<DeviceId> devices = torn.stream().map(Device::id).toList();
        return List.of(Finding.of(AddressCodes.OVERLAP, devices, Field.ADDRESS, facts));
    }

    /** By interface; two addresses of one interface are one way. */
    private static Map<String, List<OwnLink>> leading(Device device, List<OwnLink> links) {
        return links.stream()
                .filter(l -> device.address().filter(l::onLink).isPresent())
                .collect(Collectors.groupingBy(OwnLink::link));
    }
}
