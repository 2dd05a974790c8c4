package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.NewRun;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.power.DcVolts;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where the house powers over Ethernet only: what hangs on such a port and takes none from it. */
final class PoeNoneCheck {
    private PoeNoneCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        if (!plan.job().site().habits().practice(Field.PRACTICE_POWER).equals("poe")) {
            return found;
        }
        for (Link link : plan.cabling().links()) {
            if (link.signal() == Signal.NETWORK) {
                for (Link.Plug end : List.of(link.from(), link.to())) {
                    boolean offered = PowerPlan.gives(link.beyond(end.device().id()));
                    if (offered && dark(plan, end.device())) {
                        found.add(finding(plan, link, end));
                    }
                }
            }
        }
        return found;
    }

    private static boolean dark(CablingPlan plan, Device d) {
        boolean waits =
                d.profile()
                        .draw()
                        .filter(x -> x.poeClass().isEmpty() && !x.battery() && !x.mains())
                        .isPresent();
        return waits && plan.power().to(d.id()).isEmpty();
    }

    private static Finding finding(CablingPlan plan, Link link, Link.Plug end) {
        Finding finding =
                plan.about(
                        link,
                        CablingCodes.NONE,
                        Field.POE_ON,
                        Map.of("what", "port", "taker", end.device().name()));
        return finding.withFixes(splitter(plan, link, end).map(List::of).orElse(List.of()));
    }

    /** A loose splitter that gives the device its volts and enough of them. */
    private static Optional<Fix> splitter(CablingPlan plan, Link link, Link.Plug end) {
        PowerDraw draw = end.device().profile().draw().orElseThrow();
        for (Device d : plan.job().devices()) {
            if (d.profile().sort() == Sort.POE_SPLITTER
                    && d.fitted().isEmpty()
                    && plan.cabling().at(d.id()).isEmpty()
                    && fits(d, draw)) {
                return split(plan, link, end, d);
            }
        }
        return Optional.empty();
    }

    private static boolean fits(Device splitter, PowerDraw draw) {
        return splitter.profile()
                .gives()
                .filter(g -> g.outWatts().orElse(0) >= draw.mostWatts())
                .filter(g -> DcVolts.same(g.volts().orElse(0), draw.volts().orElse(0)))
                .isPresent();
    }

    private static Optional<Fix> split(
            CablingPlan plan, Link link, Link.Plug end, Device splitter) {
        Optional<Link.Plug> in = socket(plan, splitter, Join.ETHERNET, PortUse.POWER);
        Optional<Link.Plug> data = socket(plan, splitter, Join.ETHERNET, PortUse.NETWORK);
        Optional<Link.Plug> out = socket(plan, splitter, Join.DC_OUT, PortUse.POWER);
        Optional<Link.Plug> plug = socket(plan, end.device(), Join.DC_IN, PortUse.POWER);
        if (in.isEmpty() || data.isEmpty() || out.isEmpty() || plug.isEmpty()) {
            return Optional.empty();
        }
        Run run = link.run();
        boolean far = link.to().equals(end);
        List<Edit> edits =
                List.of(
                        CablingPlan.edit(
                                run, far ? Field.RUN_TO : Field.RUN_FROM, splitter.id().toString()),
                        CablingPlan.edit(
                                run,
                                far ? Field.TO_PORT : Field.FROM_PORT,
                                in.get().socket().name()));
        List<Item> adds =
                List.of(NewRun.of(-1, data.get(), end, 1), NewRun.of(-2, out.get(), plug.get(), 1));
        return Optional.of(new Fix("splitter", new ChangeSet(adds, edits, List.of())));
    }

    private static Optional<Link.Plug> socket(CablingPlan plan, Device d, Join join, PortUse use) {
        return plan.cabling()
                .free(d.id())
                .filter(p -> p.socket().join() == join && p.socket().port().use() == use)
                .findFirst();
    }
}
