package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PictureReach;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.StreamPlan;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** Everything that is worked out for one run, step by step, by the same rules as the checks. */
final class RunSums {
    private static final Set<Signal> PICTURES = EnumSet.of(Signal.SDI, Signal.HDMI);

    private final Job job;
    private final Cabling cabling;
    private final PowerPlan power;
    private final Link link;
    private final Run run;
    private final Figures figures;
    private final List<SumLine> steps = new ArrayList<>();

    private RunSums(Job job, Cabling cabling, Link link) {
        this.job = job;
        this.cabling = cabling;
        this.link = link;
        run = link.run();
        power = PowerPlan.of(cabling);
        figures = new Figures(job);
    }

    /**
     * @param volts of another supply; empty for what the plan has
     * @return empty for a run that cannot be
     */
    static List<SumLine> of(Job job, long run, OptionalDouble volts) {
        Cabling cabling = Cabling.of(job);
        return cabling.links().stream()
                .filter(l -> l.run().id() == run)
                .findFirst()
                .map(l -> new RunSums(job, cabling, l).all(volts))
                .orElse(List.of());
    }

    private List<SumLine> all(OptionalDouble volts) {
        feed(volts).ifPresent(f -> steps.addAll(PowerSteps.of(f, run, figures)));
        picture();
        if (link.signal().serial()) {
            steps.addAll(SerialSteps.of(cabling, link, figures));
        }
        stream();
        cut();
        return steps;
    }

    private Optional<Feed> feed(OptionalDouble volts) {
        return power.over(run)
                .map(
                        f ->
                                volts.isPresent() && f.over() == PowerOver.DC
                                        ? f.at(
                                                volts.getAsDouble(),
                                                f.ohms(),
                                                f.watts(),
                                                f.leastVolts())
                                        : f);
    }

    private void picture() {
        dial();
        PictureReach.of(job, link)
                .ifPresent(
                        r -> {
                            if (r.lossDb() > 0) {
                                coax(r);
                            }
                            steps.add(
                                    new SumLine(
                                            "Reaches",
                                            r.lossDb() > 0
                                                    ? "allowed ÷ loss × 100 m"
                                                    : "passive and active leads by format",
                                            figures.length(r.longestMetres()),
                                            "Rules for picture leads, " + r.format(),
                                            run.metres() <= r.longestMetres()));
                        });
    }

    /** What is easier now than on a ladder later. */
    private void dial() {
        Device source = link.source().device();
        String standard = job.site().habits().standard();
        source.profile().video().stream()
                .flatMap(v -> v.dial().stream())
                .filter(d -> d.format().equals(standard))
                .findFirst()
                .filter(d -> PICTURES.contains(link.signal()))
                .ifPresent(
                        d ->
                                steps.add(
                                        new SumLine(
                                                "Set while in reach",
                                                source.name()
                                                        + " is at "
                                                        + (source.format().isEmpty()
                                                                ? "nobody looked"
                                                                : source.format()),
                                                "dial " + d.position() + ", " + standard,
                                                "Profile: dial; Site: picture format",
                                                source.format().isEmpty()
                                                        || source.format().equals(standard))));
    }

    private void coax(PictureReach r) {
        steps.add(
                SumLine.of(
                        "Link",
                        r.format(),
                        number(r.gigabits(), 3) + " Gb/s",
                        "Serial digital link rates"));
        double loss = r.lossDb() * run.metres() / 100;
        steps.add(
                new SumLine(
                        "Loss",
                        number(r.lossDb(), 2)
                                + " dB per 100 m at "
                                + number(r.gigabits() * 500, 0)
                                + " MHz × "
                                + figures.length(run.metres()),
                        number(loss, 1) + " dB of " + number(r.allowedDb(), 0) + " dB",
                        "Cable at half the link's rate; receiver by its profile",
                        loss <= r.allowedDb()));
    }

    private void stream() {
        if (link.signal() != Signal.NETWORK) {
            return;
        }
        StreamPlan streams = StreamPlan.of(cabling);
        double load = streams.loads().getOrDefault(link, 0.0);
        if (load > 0) {
            double allowed =
                    StreamPlan.LINK_MBITS * (100 - job.site().habits().linkHeadroom()) / 100;
            steps.add(
                    new SumLine(
                            "Network pictures",
                            streams.pictures(link) + " viewers, one copy each",
                            number(load, 1) + " of " + number(allowed, 0) + " Mb/s",
                            "Rule of thumb of the codec; share kept free by Site",
                            load <= allowed));
        }
        for (Device d : List.of(link.from().device(), link.to().device())) {
            StreamPlan.address(d)
                    .ifPresent(
                            a ->
                                    steps.add(
                                            SumLine.of(
                                                    "Picture of " + d.name(),
                                                    StreamPlan.megabits(d, cabling)
                                                            .map(
                                                                    m ->
                                                                            number(m, 1)
                                                                                    + " Mb/s a viewer")
                                                            .orElse(""),
                                                    a,
                                                    "Profile: stream path")));
        }
    }

    private void cut() {
        int slack = job.site().habits().materials().slack();
        steps.add(
                SumLine.of(
                        "Cut",
                        Lengths.text(run.metres()) + " m + " + slack + " %",
                        figures.length(run.metres() * (100 + slack) / 100),
                        "Site: slack"));
    }
}
