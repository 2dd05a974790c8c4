package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Both ends made alike, and copper of the network no longer than a channel may be. */
final class EndsCheck {
    /** Of a network channel of copper, by TIA-568. */
    private static final double CHANNEL_METRES = 100;

    private EndsCheck() {}

    static List<Finding> at(CablingPlan plan, Link link) {
        List<Finding> found = new ArrayList<>();
        Run run = link.run();
        if (differ(run)) {
            found.add(pins(plan, link));
        }
        boolean copper = link.signal() == Signal.NETWORK && run.cable() == Cable.DATA;
        if (copper && run.metres() > CHANNEL_METRES) {
            found.add(
                    plan.about(link, CablingCodes.NET_LENGTH, Field.METRES, Map.of())
                            .withFixes(List.of(relaid(run, Cable.FIBRE))));
        }
        return found;
    }

    static Fix relaid(Run run, Cable cable) {
        return Fix.editing(
                cable.toString(), List.of(CablingPlan.edit(run, Field.CABLE, cable.toString())));
    }

    private static boolean differ(Run run) {
        String from = run.from().pins();
        String to = run.to().pins();
        return !from.isEmpty() && !to.isEmpty() && !from.equals(to);
    }

    private static Finding pins(CablingPlan plan, Link link) {
        Run run = link.run();
        boolean poles = run.from().pins().startsWith("first-to");
        FindingCode code = poles ? CablingCodes.POLARITY : CablingCodes.PINS;
        return plan.about(
                        link,
                        code,
                        Field.TO_PINS,
                        Map.of("one", run.from().pins(), "other", run.to().pins()))
                .withFixes(
                        List.of(
                                Fix.editing(
                                        poles ? "swap" : "re-terminate",
                                        List.of(
                                                CablingPlan.edit(
                                                        run, Field.TO_PINS, run.from().pins())))));
    }

    static List<Finding> outdoors(CablingPlan plan) {
        List<Link> outdoors = LinkChecks.outdoors(plan);
        if (outdoors.isEmpty()) {
            return List.of();
        }
        List<String> names = outdoors.stream().map(l -> l.load().toString()).toList();
        return List.of(
                Finding.of(
                        CablingCodes.OUTDOOR,
                        outdoors.stream().map(l -> l.load().device().id()).distinct().toList(),
                        Field.LAID,
                        Map.of("runs", String.join(", ", names))));
    }
}
