package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.kit.Preparation.Reason;
import app.jerboa.core.job.kit.Preparation.Task;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What is not ticked yet on the before-the-van list: one finding for each reason. */
final class PreparationCheck {
    private static final Map<Reason, FindingCode> CODES =
            Map.of(
                    Reason.FETCH, KitCodes.PREP_INTERNET,
                    Reason.PACK, KitCodes.PREP_PACK,
                    Reason.RESET, KitCodes.PREP_RESET);

    private PreparationCheck() {}

    static List<Finding> of(Job job) {
        List<Task> open = Preparation.of(job).stream().filter(t -> t.done().isEmpty()).toList();
        List<Finding> found = new ArrayList<>();
        for (Reason reason : Reason.values()) {
            List<Task> here = open.stream().filter(t -> t.reason() == reason).toList();
            if (!here.isEmpty()) {
                found.add(finding(CODES.get(reason), here));
            }
        }
        return found;
    }

    private static Finding finding(FindingCode code, List<Task> open) {
        List<Device> devices = open.stream().flatMap(t -> t.devices().stream()).distinct().toList();
        List<String> profiles = open.stream().map(t -> t.profile().name()).distinct().toList();
        return Finding.of(
                code,
                devices.stream().map(Device::id).toList(),
                Field.PROFILE,
                Map.of(
                        "count", Integer.toString(open.size()),
                        "devices", Naming.devices(devices),
                        "profiles", Naming.list(profiles)));
    }
}
