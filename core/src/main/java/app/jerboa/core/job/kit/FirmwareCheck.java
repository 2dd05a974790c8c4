package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Is the firmware that was found on a camera new enough for the controller that has it on a key?
 */
final class FirmwareCheck {
    private FirmwareCheck() {}

    static List<Finding> of(Job job) {
        Map<DeviceId, Device> byId = new HashMap<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        List<Finding> found = new ArrayList<>();
        for (Line line : job.lines()) {
            Device camera = byId.get(line.camera());
            line.key()
                    .flatMap(k -> FirmwareNeed.of(camera, byId.get(k.controller())))
                    .map(FirmwareCheck::finding)
                    .ifPresent(found::add);
        }
        return found;
    }

    private static Finding finding(FirmwareNeed need) {
        return Finding.of(
                KitCodes.FIRMWARE,
                List.of(need.camera().id(), need.controller().id()),
                Field.FIRMWARE,
                Map.of(
                        "device", need.camera().name(),
                        "controller", need.controller().name(),
                        "found", need.camera().firmware(),
                        "least", need.least()));
    }
}
