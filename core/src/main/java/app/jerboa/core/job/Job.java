package app.jerboa.core.job;

import app.jerboa.core.net.Lan;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * One installation: its network, its kit, its lines.
 *
 * @param devices in the order of the sheet
 * @param lines in line order
 */
public record Job(String name, Lan lan, List<Device> devices, List<Line> lines) {
    public Job {
        devices = List.copyOf(devices);
        lines = List.copyOf(lines);
    }

    public Optional<Device> device(DeviceId id) {
        return devices.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    public Optional<Line> lineOf(DeviceId camera) {
        return lines.stream().filter(l -> l.camera().equals(camera)).findFirst();
    }
}
