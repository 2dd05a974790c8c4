package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Before any run is drawn (each switch is looked at by itself then): can the switches on the van
 * feed the kit, with every head moving and every run of the usual length?
 */
final class KitPowerCheck {
    private KitPowerCheck() {}

    static List<Finding> of(Job job) {
        if (!job.runs().isEmpty()) {
            return List.of();
        }
        double budget =
                job.devices().stream()
                        .flatMap(d -> d.profile().gives().stream())
                        .filter(g -> g.poePorts() > 0)
                        .mapToDouble(g -> g.budgetWatts())
                        .sum();
        if (budget == 0) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        List<Device> fed = new ArrayList<>();
        double watts = 0;
        for (Device d : job.devices()) {
            Optional<PowerDraw> draw =
                    d.profile().draw().filter(x -> x.poeClass().isPresent() && !x.splitter());
            if (draw.isPresent()) {
                Optional<ConstantLoad> load = load(draw.get(), job.site().habits().usualRun());
                load.ifPresentOrElse(l -> fed.add(d), () -> found.add(drop(job, d)));
                watts += load.map(ConstantLoad::sourceWatts).orElse(0.0);
            }
        }
        sum(job, fed, watts, budget).ifPresent(found::add);
        return found;
    }

    private static Optional<ConstantLoad> load(PowerDraw draw, double metres) {
        return PoeRun.of(metres, PoeClass.of(draw.poeClass().orElseThrow()), draw.mostWatts());
    }

    private static Finding drop(Job job, Device d) {
        return Finding.of(
                KitCodes.POE_DROP,
                d.id(),
                Field.PROFILE,
                Map.of(
                        "what", "kit",
                        "device", d.name(),
                        "run", Lengths.text(job.site().habits().usualRun())));
    }

    private static Optional<Finding> sum(Job job, List<Device> fed, double watts, double budget) {
        int headroom = job.site().habits().powerHeadroom();
        double allowed = budget * (100 - headroom) / 100;
        if (fed.isEmpty() || watts <= allowed) {
            return Optional.empty();
        }
        return Optional.of(
                Finding.of(
                        watts > budget ? KitCodes.POE_BUDGET : KitCodes.POE_HEADROOM,
                        fed.stream().map(Device::id).toList(),
                        Field.PROFILE,
                        Map.of(
                                "what", "kit",
                                "count", Integer.toString(fed.size()),
                                "watts", watts(watts),
                                "budget", watts(budget),
                                "allowed", watts(allowed),
                                "headroom", Integer.toString(headroom),
                                "run", Lengths.text(job.site().habits().usualRun()))));
    }

    private static String watts(double watts) {
        return String.format(Locale.ROOT, "%.1f", watts);
    }
}
