package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;
import static app.jerboa.server.cabling.Figures.unit;
import static app.jerboa.server.cabling.SumLine.say;

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
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
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
                                            say("picture.what"),
                                            say(r.lossDb() > 0 ? "picture.coax" : "picture.leads"),
                                            figures.length(r.longestMetres()),
                                            say("picture.source", Map.of("format", r.format())),
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
                .ifPresent(d -> steps.add(dial(source, d.position(), standard)));
    }

    private static SumLine dial(Device source, String position, String standard) {
        boolean known = !source.format().isEmpty();
        return new SumLine(
                say("dial.what"),
                say(
                        known ? "dial.sum" : "dial.unknown",
                        Map.of("device", source.name(), "format", source.format())),
                say("dial.result", Map.of("position", position, "standard", standard)),
                say("dial.source"),
                !known || source.format().equals(standard));
    }

    private void coax(PictureReach r) {
        steps.add(
                SumLine.of(
                        say("link.what"),
                        r.format(),
                        say("link.result", Map.of("n", number(r.gigabits(), 3))),
                        say("link.source")));
        double loss = r.lossDb() * run.metres() / 100;
        steps.add(
                new SumLine(
                        say("loss.what"),
                        say(
                                "loss.sum",
                                Map.of(
                                        "loss", number(r.lossDb(), 2),
                                        "megahertz", number(r.gigabits() * 500, 0),
                                        "length", figures.length(run.metres()))),
                        Words.say(
                                "number.of",
                                Map.of(
                                        "part", unit("decibels", number(loss, 1)),
                                        "whole", unit("decibels", number(r.allowedDb(), 0)))),
                        say("loss.source"),
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
                            say("pictures.what"),
                            say(
                                    "pictures.sum",
                                    Map.of("viewers", Integer.toString(streams.pictures(link)))),
                            say(
                                    "pictures.result",
                                    Map.of(
                                            "load", number(load, 1),
                                            "allowed", number(allowed, 0))),
                            say("pictures.source"),
                            load <= allowed));
        }
        for (Device d : List.of(link.from().device(), link.to().device())) {
            StreamPlan.address(d).ifPresent(a -> steps.add(streamOf(d, a)));
        }
    }

    private SumLine streamOf(Device d, String address) {
        return SumLine.of(
                say("stream.what", Map.of("device", d.name())),
                StreamPlan.megabits(d, cabling)
                        .map(m -> say("stream.sum", Map.of("n", number(m, 1))))
                        .orElse(""),
                address,
                say("stream.source"));
    }

    private void cut() {
        int slack = job.site().habits().materials().slack();
        steps.add(
                SumLine.of(
                        say("cut.what"),
                        say(
                                "cut.sum",
                                Map.of(
                                        "metres", Lengths.text(run.metres()),
                                        "slack", Integer.toString(slack))),
                        figures.length(run.metres() * (100 + slack) / 100),
                        say("cut.source")));
    }
}
