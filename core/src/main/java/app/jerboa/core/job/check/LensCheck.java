package app.jerboa.core.job.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.JobItems;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.profile.Function;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.Edit;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.Fix;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Is there a lens, does it zoom where it must, and which of its switches are to be set? */
final class LensCheck {
    private static final Set<Function> DRIVEN = EnumSet.of(Function.ZOOM, Function.FOCUS);

    private LensCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        for (Line line : plan.job().lines()) {
            Device camera = plan.camera(line);
            boolean comesOff =
                    camera.profile()
                            .optics()
                            .filter(o -> o.fit() == LensFit.INTERCHANGEABLE)
                            .isPresent();
            if (comesOff) {
                lens(plan, line, camera, found);
            }
        }
        return found;
    }

    private static void lens(LinePlan plan, Line line, Device camera, List<Finding> found) {
        Optional<Device> lens = plan.kit().fitted(camera.id(), Sort.LENS);
        Set<Function> wanted = Wanted.of(line, camera.profile());
        if (lens.isEmpty() && Collections.disjoint(wanted, DRIVEN)) {
            return;
        } else if (lens.isEmpty()) {
            found.add(
                    plan.about(line, LineCodes.NO_LENS, Field.FITTED, Map.of())
                            .withFixes(NetworkOptionCheck.fit(plan, camera, Set.of(Sort.LENS))));
            return;
        }
        if (wanted.contains(Function.ZOOM) && !plan.routes().zooms(camera)) {
            List<Fix> fixes =
                    new ArrayList<>(NetworkOptionCheck.fit(plan, camera, Set.of(Sort.ZOOM_MOTOR)));
            fixes.add(fixedLength(line, wanted));
            found.add(
                    plan.about(
                                    line,
                                    LineCodes.NO_SERVO,
                                    Field.FITTED,
                                    Map.of("lens", lens.get().name()))
                            .withFixes(fixes));
        }
        List<String> switches =
                plan.kit().fitted(camera.id()).stream()
                        .flatMap(d -> d.profile().optics().map(Optics::switches).stream())
                        .flatMap(List::stream)
                        .toList();
        if (!switches.isEmpty()) {
            found.add(
                    plan.about(
                            line,
                            LineCodes.SWITCHES,
                            Field.FITTED,
                            Map.of(
                                    "lens", lens.get().name(),
                                    "switches", String.join(", ", switches))));
        }
    }

    private static Fix fixedLength(Line line, Set<Function> wanted) {
        Set<Function> rest = EnumSet.copyOf(wanted);
        rest.remove(Function.ZOOM);
        String words =
                Wanted.ALL.stream()
                        .filter(rest::contains)
                        .map(Function::toString)
                        .collect(Collectors.joining(" "));
        return Fix.editing(
                "no-zoom",
                List.of(
                        new Edit(
                                line.ref(), Field.WANTS, JobItems.text(line, Field.WANTS), words)));
    }
}
