package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Cameras that need something fitted before they have Ethernet, or power from it. */
final class NetworkOptionCheck {
    private NetworkOptionCheck() {}

    static List<Finding> of(LinePlan plan) {
        List<Finding> found = new ArrayList<>();
        boolean poe = plan.job().site().habits().practice(Field.PRACTICE_POWER).equals("poe");
        for (Line line : plan.job().lines()) {
            Set<Sort> missing = plan.missing(line);
            if (missing.contains(Sort.NETWORK_ADAPTER)) {
                String option =
                        plan.camera(line).profile().network().map(Network::needs).orElse("");
                found.add(
                        plan.about(
                                        line,
                                        LineCodes.NO_NETWORK,
                                        Field.FITTED,
                                        Map.of("option", option))
                                .withFixes(plan.fit(line, Sort.NETWORK_ADAPTER)));
            }
            if (poe && missing.contains(Sort.POE_SPLITTER)) {
                found.add(
                        plan.about(line, LineCodes.POE_NONE, Field.FITTED, Map.of())
                                .withFixes(plan.fit(line, Sort.POE_SPLITTER)));
            }
        }
        return found;
    }
}
