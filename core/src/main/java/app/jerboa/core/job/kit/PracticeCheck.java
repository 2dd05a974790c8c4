package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.Practices;
import app.jerboa.core.profile.Profile;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Devices on the van that cannot do as the house does. */
final class PracticeCheck {
    private PracticeCheck() {}

    static List<Finding> of(Job job) {
        List<Finding> found = new ArrayList<>();
        Map<String, Profile> profiles = new HashMap<>();
        job.devices().forEach(d -> profiles.put(d.profile().id(), d.profile()));
        for (Field matter : Practices.MATTERS) {
            String way = job.site().habits().practice(matter);
            Set<String> unable =
                    profiles.values().stream()
                            .filter(p -> Practices.fit(p, matter, way) == Practices.Fit.CANNOT)
                            .map(Profile::id)
                            .collect(Collectors.toSet());
            if (!unable.isEmpty()) {
                List<Device> cannot =
                        job.devices().stream()
                                .filter(d -> unable.contains(d.profile().id()))
                                .toList();
                found.add(
                        Finding.of(
                                KitCodes.PRACTICE,
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
