package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Is there a lens, does it zoom where it must, and which of its switches are to be set? */
final class LensCheck {
    private LensCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        for (Line line : plan.job().lines()) {
            Set<Sort> missing = plan.missing(line);
            if (missing.contains(Sort.LENS)) {
                found.add(
                        plan.about(line, LineCodes.NO_LENS, Field.FITTED, Map.of())
                                .withFixes(plan.fit(line, Sort.LENS)));
            }
            plan.kit()
                    .fitted(line.camera(), Sort.LENS)
                    .ifPresent(
                            lens ->
                                    lens(
                                            plan,
                                            line,
                                            lens,
                                            missing.contains(Sort.ZOOM_MOTOR),
                                            found));
        }
        return found;
    }

    private static void lens(
            LinePlan plan, Line line, Device lens, boolean still, List<Finding> found) {
        if (still) {
            List<Fix> fixes = new ArrayList<>(plan.fit(line, Sort.ZOOM_MOTOR));
            fixes.add(fixedLength(line, Wanted.of(line, plan.camera(line).profile())));
            found.add(
                    plan.about(line, LineCodes.NO_SERVO, Field.FITTED, Map.of("lens", lens.name()))
                            .withFixes(fixes));
        }
        List<String> switches =
                plan.kit().fitted(line.camera()).stream()
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
                                    "lens", lens.name(),
                                    "switches", String.join(", ", switches))));
        }
    }

    private static Fix fixedLength(Line line, Set<RemoteFunction> wanted) {
        Set<RemoteFunction> rest = EnumSet.copyOf(wanted);
        rest.remove(RemoteFunction.ZOOM);
        String words =
                Wanted.ALL.stream()
                        .filter(rest::contains)
                        .map(RemoteFunction::toString)
                        .collect(Collectors.joining(" "));
        return Fix.editing(
                "no-zoom",
                List.of(
                        new Edit(
                                line.ref(), Field.WANTS, JobItems.text(line, Field.WANTS), words)));
    }
}
