package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.RouteNeed;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Control or tally that rides in the switcher's return picture, and no such picture comes back. */
final class ReturnCheck {
    private ReturnCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        if (plan.job().runs().isEmpty()) {
            return found;
        }
        for (Line line : plan.job().lines()) {
            List<RemoteFunction> riding = riding(plan, line);
            if (!riding.isEmpty()
                    && plan.cabling().into(line.camera(), Signal.SDI).findAny().isEmpty()) {
                String functions =
                        riding.stream()
                                .map(RemoteFunction::toString)
                                .collect(Collectors.joining(", "));
                found.add(
                        plan.about(
                                line,
                                LineCodes.RETURN,
                                Field.INPUT,
                                Map.of("functions", functions)));
            }
        }
        return found;
    }

    private static List<RemoteFunction> riding(LinePlan plan, Line line) {
        return Wanted.of(line, plan.camera(line).profile()).stream()
                .filter(
                        f ->
                                plan.routes()
                                        .planned(line, f)
                                        .map(ControlRoute::needs)
                                        .filter(n -> n.contains(RouteNeed.RETURN_PICTURE))
                                        .isPresent())
                .toList();
    }
}
