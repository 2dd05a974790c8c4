package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.profile.Clash;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Port;
import app.jerboa.core.profile.Transport;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Outputs of one camera that a line uses and that do not work at the same time. */
final class OutputCheck {
    private static final Map<Join, Join> MEETS =
            Map.of(Join.SDI_OUT, Join.SDI_IN, Join.HDMI_OUT, Join.HDMI_IN);

    private OutputCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        for (Line line : plan.job().lines()) {
            Device camera = plan.camera(line);
            if (camera.profile().clashes().isEmpty()) {
                continue;
            }
            Set<String> used = used(plan, line, camera);
            for (Clash clash : camera.profile().clashes()) {
                if (used.contains(clash.one()) && used.contains(clash.other())) {
                    found.add(
                            plan.about(
                                    line,
                                    LineCodes.OUTPUTS,
                                    Field.INPUT,
                                    Map.of(
                                            "one", clash.one(),
                                            "other", clash.other(),
                                            "when", clash.when())));
                }
            }
        }
        return found;
    }

    private static Set<String> used(LinePlan plan, Line line, Device camera) {
        Set<String> used = new LinkedHashSet<>();
        plan.cabling().at(camera.id()).stream()
                .map(l -> l.at(camera.id()).socket().port().name())
                .forEach(used::add);
        line.input()
                .filter(i -> used.isEmpty())
                .flatMap(i -> output(camera, plan.kit().device(i.switcher())))
                .ifPresent(used::add);
        boolean usb =
                Wanted.of(line, camera.profile()).stream()
                        .flatMap(f -> plan.routes().planned(line, f).stream())
                        .map(ControlRoute::answers)
                        .anyMatch(a -> a.over() == Transport.USB);
        if (usb) {
            camera.profile().ports().stream()
                    .filter(p -> p.join() == Join.USB_DEVICE)
                    .map(Port::name)
                    .forEach(used::add);
        }
        return used;
    }

    private static Optional<String> output(Device camera, Device switcher) {
        Set<Join> takes = new LinkedHashSet<>();
        switcher.profile().ports().forEach(p -> takes.add(p.join()));
        return camera.profile().ports().stream()
                .filter(p -> MEETS.containsKey(p.join()) && takes.contains(MEETS.get(p.join())))
                .map(Port::name)
                .findFirst();
    }
}
