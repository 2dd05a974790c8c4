package app.jerboa.core.job.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Schools;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Who on the van cannot do as the house does. */
final class SchoolCheck {
    private SchoolCheck() {}

    static List<Finding> of(Job job) {
        List<Finding> found = new ArrayList<>();
        for (Field matter : Schools.MATTERS) {
            String way = job.site().habits().school(matter);
            List<Device> cannot =
                    job.devices().stream()
                            .filter(
                                    d ->
                                            Schools.fit(d.profile(), matter, way)
                                                    == Schools.Fit.CANNOT)
                            .toList();
            if (!cannot.isEmpty()) {
                found.add(
                        Finding.of(
                                KitCodes.SCHOOL,
                                cannot.stream().map(Device::id).toList(),
                                matter,
                                Map.of(
                                        "devices", Naming.devices(cannot),
                                        "count", Integer.toString(cannot.size()),
                                        "what", matter.wire() + "." + way)));
            }
        }
        return found;
    }
}
