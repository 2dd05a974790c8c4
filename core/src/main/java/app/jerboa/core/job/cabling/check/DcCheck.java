package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.Sources;
import app.jerboa.core.power.DcVolts;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

/** Each run of DC: volts that arrive, volts that are too many, watts of the supply. */
final class DcCheck {
    private DcCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        List<Feed> feeds =
                plan.power().feeds().stream().filter(f -> f.over() == PowerOver.DC).toList();
        for (Feed f : feeds) {
            over(plan, f).or(() -> drop(plan, f)).ifPresent(found::add);
        }
        supplies(plan, found);
        polarity(feeds).ifPresent(found::add);
        return found;
    }

    private static Optional<Finding> over(CablingPlan plan, Feed f) {
        double nominal =
                f.load()
                        .profile()
                        .draw()
                        .map(d -> d.volts())
                        .orElse(OptionalDouble.empty())
                        .orElse(0);
        return DcVolts.tooMany(f.volts(), nominal)
                ? Optional.of(
                        plan.about(
                                        f.link(),
                                        CablingCodes.DC_OVER,
                                        Field.RUN_FROM,
                                        Map.of(
                                                "volts", CablingPlan.one(f.volts()),
                                                "nominal", CablingPlan.one(nominal)))
                                .withFixes(DcFixes.local(f)))
                : Optional.empty();
    }

    private static Optional<Finding> drop(CablingPlan plan, Feed f) {
        if (f.works()) {
            return Optional.empty();
        }
        DcFixes fixes = new DcFixes(plan, f);
        return Optional.of(
                plan.about(
                                f.link(),
                                CablingCodes.DC_DROP,
                                Field.METRES,
                                Map.of(
                                        "what", f.most().isPresent() ? "low" : "none",
                                        "supply", CablingPlan.one(f.volts()),
                                        "watts", CablingPlan.one(f.watts()),
                                        "gauge", Integer.toString(f.link().run().wire()),
                                        "volts", CablingPlan.one(f.deviceVolts()),
                                        "least", CablingPlan.one(f.leastVolts()),
                                        "longest", CablingPlan.one(fixes.longest())))
                        .withFixes(fixes.all()));
    }

    private static void supplies(CablingPlan plan, List<Finding> found) {
        for (Device d : Sources.of(plan.job()).limited()) {
            double most = d.profile().gives().orElseThrow().outWatts().orElseThrow();
            double given = given(plan, d);
            if (given > most) {
                found.add(
                        Finding.of(
                                CablingCodes.DC_BUDGET,
                                d.id(),
                                Field.PROFILE,
                                Map.of(
                                        "device", d.name(),
                                        "watts", CablingPlan.one(given),
                                        "most", CablingPlan.one(most))));
            }
        }
    }

    private static double given(CablingPlan plan, Device supply) {
        return plan.power().from(supply.id()).stream()
                .filter(f -> f.over() == PowerOver.DC)
                .mapToDouble(Feed::givenWatts)
                .sum();
    }

    /** Signals reach further than power does: beyond, the camera needs a supply where it stands. */
    static List<Finding> at(CablingPlan plan, Link link) {
        if (link.signal() != Signal.MULTICORE) {
            return List.of();
        }
        return Stream.of(link.from(), link.to())
                .map(DcCheck::reach)
                .filter(reach -> link.run().metres() > reach)
                .map(
                        reach ->
                                plan.about(
                                        link,
                                        CablingCodes.DC_MULTICORE,
                                        Field.METRES,
                                        Map.of("reach", Integer.toString(reach))))
                .toList();
    }

    private static int reach(Link.Plug end) {
        return end.device()
                .profile()
                .gives()
                .map(PowerSource::multicoreMetres)
                .orElse(OptionalInt.empty())
                .orElse(Integer.MAX_VALUE);
    }

    private static Optional<Finding> polarity(List<Feed> feeds) {
        return feeds.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Finding.of(
                                CablingCodes.DC_POLARITY,
                                feeds.stream().map(f -> f.load().id()).toList(),
                                Field.FROM_PORT,
                                Map.of(
                                        "devices",
                                        CablingPlan.names(
                                                feeds.stream().map(Feed::load).toList()))));
    }
}
