package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.identity.LineNumbers;
import app.jerboa.core.job.identity.Numbers;
import app.jerboa.core.job.identity.Repatch;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Does every number of a line say the same, and what is the least to make it so? */
final class NumbersCheck {
    private static final int OFFERED = 3;

    private NumbersCheck() {}

    static List<Finding> of(LinePlan plan) {
        LineNumbers numbers = LineNumbers.of(plan.job());
        List<Numbers> all = numbers.all();
        Set<Long> out =
                all.stream()
                        .filter(Numbers::disagrees)
                        .map(Numbers::line)
                        .collect(Collectors.toSet());
        if (out.isEmpty()) {
            return List.of();
        }
        List<DeviceId> cameras =
                plan.job().lines().stream()
                        .filter(l -> out.contains(l.id()))
                        .map(Line::camera)
                        .toList();
        List<Repatch.Way> ways = Repatch.ways(all);
        Map<String, String> facts = new HashMap<>();
        facts.put("devices", Naming.list(cameras.stream().map(plan::name).toList()));
        facts.put("what", ways.isEmpty() ? "stuck" : "");
        if (!ways.isEmpty()) {
            facts.put("changes", Integer.toString(ways.get(0).changes().size()));
            facts.put("cost", Integer.toString(ways.get(0).cost()));
        }
        return List.of(
                Finding.of(LineCodes.DISAGREE, cameras, Field.NUMBER, facts)
                        .withFixes(
                                ways.stream().limit(OFFERED).map(w -> fix(w, numbers)).toList()));
    }

    private static Fix fix(Repatch.Way way, LineNumbers numbers) {
        String truth =
                way.truth()
                        .map(a -> a.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .orElse("mixture");
        return new Fix("agree-" + truth, numbers.edits(way.changes()));
    }
}
