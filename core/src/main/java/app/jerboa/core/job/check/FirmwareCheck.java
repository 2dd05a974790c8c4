package app.jerboa.core.job.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.FirmwareFloor;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.Version;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Is the firmware that was found on a camera new enough for the controller on whose key it is? */
final class FirmwareCheck {
    private FirmwareCheck() {}

    static List<Finding> of(Job job) {
        Map<DeviceId, Device> byId = new HashMap<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        List<Finding> found = new ArrayList<>();
        for (Line line : job.lines()) {
            Device camera = byId.get(line.camera());
            line.key().flatMap(k -> tooOld(camera, byId.get(k.controller()))).ifPresent(found::add);
        }
        return found;
    }

    private static Optional<Finding> tooOld(Device camera, Device controller) {
        Optional<Version> found = Version.parse(camera.firmware());
        Optional<String> least =
                camera.profile().firmware().stream()
                        .flatMap(f -> f.floors().stream())
                        .filter(f -> f.controller() == controller.profile().sort())
                        .map(FirmwareFloor::least)
                        .findFirst();
        boolean old =
                found.isPresent()
                        && least.flatMap(Version::parse)
                                .filter(l -> found.get().compareTo(l) < 0)
                                .isPresent();
        return old
                ? Optional.of(
                        Finding.of(
                                KitCodes.FIRMWARE,
                                List.of(camera.id(), controller.id()),
                                Field.FIRMWARE,
                                Map.of(
                                        "device", camera.name(),
                                        "controller", controller.name(),
                                        "found", camera.firmware(),
                                        "least", least.get())))
                : Optional.empty();
    }
}
