package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.control.Fittings;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** A job with what the checks of lines look up again and again. */
record LinePlan(Job job, KitIndex kit, ControlRoutes routes, Cabling cabling) {
    /** A shipped profile, and what one of it is called. */
    private record Plain(String profile, String name) {}

    /** What most cameras take that lack something of the sort. */
    private static final Map<Sort, Plain> PLAINEST =
            Map.of(
                    Sort.NETWORK_ADAPTER, new Plain("network-adapter", "Network adapter"),
                    Sort.LENS, new Plain("lens-servo-zoom", "Lens"),
                    Sort.ZOOM_MOTOR, new Plain("zoom-motor", "Zoom motor"));

    static LinePlan of(Job job) {
        KitIndex kit = KitIndex.of(job);
        return new LinePlan(job, kit, ControlRoutes.of(job), Cabling.of(job));
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

    /** A loose one of the van's; where there is none, one more of the plainest kind. */
    List<Fix> fit(Line line, Sort sort) {
        return Fittings.fit(job, camera(line), sort, List.of())
                .map(e -> Fix.editing("fit", List.of(e)))
                .or(() -> Optional.ofNullable(PLAINEST.get(sort)).map(p -> added(line, p)))
                .map(List::of)
                .orElse(List.of());
    }

    private Fix added(Line line, Plain plain) {
        Item item =
                new Item(
                        new ItemRef(ItemKind.DEVICE, -1),
                        Map.of(
                                Field.NAME, plain.name() + " " + camera(line).name(),
                                Field.PROFILE, plain.profile(),
                                Field.FITTED, camera(line).id().toString()));
        return new Fix("add", ChangeSet.adding(item));
    }

    /** About one camera, named by its fact "device". */
    Finding about(Line line, FindingCode code, Field field, Map<String, String> facts) {
        Map<String, String> all = new TreeMap<>(facts);
        all.put("device", camera(line).name());
        return Finding.of(code, line.camera(), field, all);
    }
}
