package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.NewRun;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.power.DcVolts;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What makes a run of DC work: more conductors, a thicker one, more volts with a step-down at the
 * far end, or a supply where the device stands. Each is tried by the same sum before it is offered.
 */
final class DcFixes {
    /** Half of a data cable's eight. */
    private static final int MOST_BONDED = 4;

    private final CablingPlan plan;
    private final Feed feed;
    private final Run run;

    DcFixes(CablingPlan plan, Feed feed) {
        this.plan = plan;
        this.feed = feed;
        run = feed.link().run();
    }

    /** The longest this run may be as it is made. */
    double longest() {
        double perMetre = PowerPlan.dcOhms(1, run.wire(), run.clad(), run.conductors());
        return feed.longestMetres(perMetre, 0);
    }

    List<Fix> all() {
        List<Fix> all = new ArrayList<>();
        bonded().ifPresent(all::add);
        thicker().ifPresent(all::add);
        stepDown().ifPresent(all::add);
        all.addAll(local(feed));
        return all;
    }

    private boolean works(int gauge, boolean clad, int conductors) {
        return feed.over(PowerPlan.dcOhms(run.metres(), gauge, clad, conductors)).works();
    }

    private Optional<Fix> bonded() {
        if (run.cable() == Cable.DATA) {
            for (int n = run.conductors() + 1; n <= MOST_BONDED; n++) {
                if (works(run.wire(), run.clad(), n)) {
                    Edit edit = CablingPlan.edit(run, Field.CONDUCTORS, Integer.toString(n));
                    return Optional.of(Fix.editing("bond-conductors", List.of(edit)));
                }
            }
        }
        return Optional.empty();
    }

    /** A pair of its own, the thinnest that is enough. */
    private Optional<Fix> thicker() {
        List<Integer> gauges = Cable.DC.gauges();
        for (int i = gauges.size() - 1; i >= 0; i--) {
            if (works(gauges.get(i), false, 1)) {
                List<Edit> edits = new ArrayList<>();
                edits.add(CablingPlan.edit(run, Field.CABLE, Cable.DC.toString()));
                edits.add(CablingPlan.edit(run, Field.GAUGE, gauges.get(i).toString()));
                edits.add(CablingPlan.edit(run, Field.CONDUCTORS, "1"));
                edits.add(CablingPlan.edit(run, Field.CLAD, "false"));
                edits.removeIf(e -> e.before().equals(e.after()));
                return Optional.of(Fix.editing("thicker-pair", edits));
            }
        }
        return Optional.empty();
    }

    private Optional<Fix> stepDown() {
        for (Device converter : plan.job().devices()) {
            if (converter.profile().sort() == Sort.STEP_DOWN && loose(converter)) {
                for (Device supply : plan.job().devices()) {
                    Optional<Link.Plug> out = free(supply, Join.DC_OUT);
                    if (out.isPresent() && carries(supply, converter)) {
                        return Optional.of(stepped(out.get(), converter));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private boolean loose(Device d) {
        return plan.cabling().at(d.id()).isEmpty() && d.fitted().isEmpty();
    }

    private Optional<Link.Plug> free(Device d, Join join) {
        return plan.cabling().free(d.id()).filter(p -> p.socket().join() == join).findFirst();
    }

    /** The supply's volts over this run to the converter, which gives the device what it wants. */
    private boolean carries(Device supply, Device converter) {
        PowerSource source = supply.profile().gives().orElseThrow();
        PowerSource gives = converter.profile().gives().orElseThrow();
        PowerDraw takes = converter.profile().draw().orElseThrow();
        double wanted = feed.load().profile().draw().orElseThrow().volts().orElse(0);
        double volts = source.volts().orElse(0);
        if (!DcVolts.same(volts, takes.volts().orElse(0))
                || !DcVolts.same(gives.volts().orElse(0), wanted)
                || gives.outWatts().orElse(0) < feed.watts()) {
            return false;
        }
        double watts = takes.idleWatts() + feed.watts() / gives.efficiency().orElse(1);
        Feed raised = feed.at(volts, feed.ohms(), watts, PowerPlan.leastVolts(converter));
        return raised.works() && raised.givenWatts() <= source.outWatts().orElse(0);
    }

    /** The run now starts at the supply and ends at the converter, which stands by the device. */
    private Fix stepped(Link.Plug supply, Device converter) {
        boolean forward = feed.link().from().equals(feed.port());
        Field from = forward ? Field.RUN_FROM : Field.RUN_TO;
        Field fromPort = forward ? Field.FROM_PORT : Field.TO_PORT;
        Field to = forward ? Field.RUN_TO : Field.RUN_FROM;
        Field toPort = forward ? Field.TO_PORT : Field.FROM_PORT;
        Link.Plug in = free(converter, Join.DC_IN).orElseThrow();
        Link.Plug out = free(converter, Join.DC_OUT).orElseThrow();
        Link.Plug device = feed.link().at(feed.load().id());
        List<Edit> edits =
                Stream.of(
                                CablingPlan.edit(run, from, supply.device().id().toString()),
                                CablingPlan.edit(run, fromPort, supply.socket().name()),
                                CablingPlan.edit(run, to, converter.id().toString()),
                                CablingPlan.edit(run, toPort, in.socket().name()))
                        .filter(e -> !e.before().equals(e.after()))
                        .toList();
        Item add = NewRun.of(-1, out, device, 1);
        return new Fix("step-down", new ChangeSet(List.of(add), edits, List.of()));
    }

    /** The run goes; the device is fed where it stands. */
    static List<Fix> local(Feed feed) {
        return List.of(Fix.removing("supply-there", JobItems.item(feed.link().run())));
    }
}
