package app.jerboa.core.job.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.control.Fittings;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.FindingCode;
import app.jerboa.core.value.Fix;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** A job with what the checks of lines look up again and again. */
record LinePlan(Job job, KitIndex kit, ControlRoutes routes, Cabling cabling) {
    static LinePlan of(Job job) {
        KitIndex kit = KitIndex.of(job);
        return new LinePlan(job, kit, new ControlRoutes(job, kit), Cabling.of(job, kit));
    }

    Device camera(Line line) {
        return kit.device(line.camera());
    }

    String name(DeviceId device) {
        return kit.device(device).name();
    }

    /** What must be fitted to the line's camera. */
    Set<Sort> missing(Line line) {
        return Fittings.missing(line, kit, routes);
    }

    /** A loose one of the van's, if there is one. */
    List<Fix> fit(Line line, Sort sort) {
        return Fittings.fit(job, camera(line), sort, List.of())
                .map(e -> List.of(Fix.editing("fit", List.of(e))))
                .orElse(List.of());
    }

    /** About one camera, named by its fact "device". */
    Finding about(Line line, FindingCode code, Field field, Map<String, String> facts) {
        Map<String, String> all = new TreeMap<>(facts);
        all.put("device", camera(line).name());
        return Finding.of(code, line.camera(), field, all);
    }
}
