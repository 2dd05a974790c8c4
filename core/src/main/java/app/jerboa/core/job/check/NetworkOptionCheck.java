package app.jerboa.core.job.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Edit;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.Fix;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Cameras that need something fitted before they have Ethernet, or power from it. */
final class NetworkOptionCheck {
    private NetworkOptionCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        boolean poe = plan.job().site().habits().school(Field.SCHOOL_POWER).equals("poe");
        for (Line line : plan.job().lines()) {
            Device camera = plan.camera(line);
            if (plan.routes().lacksNetwork(camera)) {
                String option = camera.profile().network().map(Network::needs).orElse("");
                found.add(
                        plan.about(
                                        line,
                                        LineCodes.NO_NETWORK,
                                        Field.FITTED,
                                        Map.of("option", option))
                                .withFixes(fit(plan, camera, Set.of(Sort.NETWORK_ADAPTER))));
            }
            boolean splitter =
                    camera.profile().draw().filter(PowerDraw::splitter).isPresent()
                            && plan.kit().fitted(camera.id(), Sort.POE_SPLITTER).isEmpty();
            if (poe && splitter) {
                found.add(
                        plan.about(line, LineCodes.POE_NONE, Field.FITTED, Map.of())
                                .withFixes(fit(plan, camera, Set.of(Sort.POE_SPLITTER))));
            }
        }
        return found;
    }

    /** The first one on the van that is fitted to nothing. */
    static List<Fix> fit(LinePlan plan, Device camera, Set<Sort> sorts) {
        return plan.job().devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.ACCESSORY)
                .filter(d -> d.fitted().isEmpty() && sorts.contains(d.profile().sort()))
                .findFirst()
                .map(d -> Fix.editing("fit", List.of(fitting(d.id(), camera))))
                .map(List::of)
                .orElse(List.of());
    }

    private static Edit fitting(DeviceId part, Device camera) {
        return Edit.of(part, Field.FITTED, "", camera.id().toString());
    }
}
