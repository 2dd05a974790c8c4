package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.value.Gathered;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Each run of power over Ethernet: its class, its copper, and the volts that arrive. */
final class PoeRunCheck {
    private PoeRunCheck() {}

    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    private record Found(Gathered<Feed, List<Finding>, List<Finding>> at) {}

    /** What was found at a feed stands for as long as it is the very same feed. */
    static List<Finding> of(CablingPlan plan) {
        return plan.job()
                .workedAfter(PoeRunCheck.class, READS, Found.class, before -> found(plan, before))
                .at()
                .all();
    }

    private static Found found(CablingPlan plan, Optional<Found> before) {
        return new Found(
                Gathered.kept(
                        plan.power().feeds(),
                        before.map(Found::at),
                        (feed, instead) -> at(plan, feed),
                        at -> at.stream().flatMap(List::stream).toList()));
    }

    private static List<Finding> at(CablingPlan plan, Feed f) {
        return switch (f.over()) {
            case PASSIVE -> List.of(passive(plan, f));
            case POE -> poe(plan, f);
            case DC -> List.of();
        };
    }

    private static Finding passive(CablingPlan plan, Feed f) {
        return plan.about(
                        f.link(),
                        CablingCodes.PASSIVE,
                        Field.FROM_PORT,
                        Map.of("volts", CablingPlan.one(f.volts())))
                .withFixes(List.of(Fix.removing("remove-run", JobItems.item(f.link().run()))));
    }

    private static List<Finding> poe(CablingPlan plan, Feed f) {
        List<Finding> found = new ArrayList<>();
        Run run = f.link().run();
        PoeClass port =
                PoeClass.of(f.port().device().profile().gives().orElseThrow().poeClass().orElse(3));
        if (run.clad()) {
            found.add(
                    plan.about(f.link(), CablingCodes.CLAD, Field.CLAD, Map.of())
                            .withFixes(
                                    List.of(
                                            Fix.editing(
                                                    "copper",
                                                    List.of(
                                                            CablingPlan.edit(
                                                                    run, Field.CLAD, "false"))))));
        }
        if (f.watts() > port.deviceWatts()) {
            found.add(tooMuch(plan, f, port));
        }
        if (!f.works() && !run.clad()) {
            found.add(drop(plan, f));
        }
        return List.copyOf(found);
    }

    private static Finding tooMuch(CablingPlan plan, Feed f, PoeClass port) {
        Finding finding =
                plan.about(
                        f.link(),
                        CablingCodes.CLASS,
                        Field.FROM_PORT,
                        Map.of(
                                "watts", CablingPlan.one(f.watts()),
                                "gives", CablingPlan.one(port.deviceWatts())));
        boolean dc = f.load().profile().draw().filter(d -> d.volts().isPresent()).isPresent();
        return dc
                ? finding.withFixes(
                        List.of(
                                Fix.editing(
                                        "local-supply",
                                        List.of(
                                                CablingPlan.edit(
                                                        f.link().run(), Field.POE_ON, "false")))))
                : finding;
    }

    private static Finding drop(CablingPlan plan, Feed f) {
        Run run = f.link().run();
        int pairs = f.poe().orElseThrow().pairs();
        double fixed = PowerPlan.poeOhms(0, run.wire(), false, pairs);
        double perMetre = PowerPlan.poeOhms(1, run.wire(), false, pairs) - fixed;
        return plan.about(
                        f.link(),
                        CablingCodes.POE_DROP,
                        Field.METRES,
                        Map.of(
                                "gauge", Integer.toString(run.wire()),
                                "volts", CablingPlan.one(f.deviceVolts()),
                                "least", CablingPlan.one(f.leastVolts()),
                                "longest", CablingPlan.one(f.longestMetres(perMetre, fixed))))
                .withFixes(thicker(f, run, pairs).map(List::of).orElse(List.of()));
    }

    /** The thinnest data cable that carries it. */
    private static Optional<Fix> thicker(Feed f, Run run, int pairs) {
        List<Integer> gauges = run.cable().gauges();
        for (int i = gauges.size() - 1; i >= 0; i--) {
            int gauge = gauges.get(i);
            double ohms = PowerPlan.poeOhms(run.metres(), gauge, false, pairs);
            if (f.over(ohms).works()) {
                Edit edit = CablingPlan.edit(run, Field.GAUGE, Integer.toString(gauge));
                return Optional.of(Fix.editing("gauge", List.of(edit)));
            }
        }
        return Optional.empty();
    }
}
