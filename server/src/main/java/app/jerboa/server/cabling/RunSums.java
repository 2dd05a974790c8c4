package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PictureReach;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.SerialLine;
import app.jerboa.core.job.cabling.SerialRate;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.job.cabling.Streams;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.serial.Leads;
import app.jerboa.core.serial.SerialReach;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Everything that is worked out for one run, step by step, by the same rules as the checks. */
final class RunSums {
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
        Cabling cabling = Cabling.of(job, KitIndex.of(job));
        return cabling.links().stream()
                .filter(l -> l.run().id() == run)
                .findFirst()
                .map(l -> new RunSums(job, cabling, l).all(volts))
                .orElse(List.of());
    }

    private List<SumLine> all(OptionalDouble volts) {
        feed(volts).ifPresent(f -> steps.addAll(PowerSteps.of(f, run, figures)));
        picture();
        serial();
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
                                                f.load(),
                                                f.leastVolts())
                                        : f);
    }

    private void picture() {
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

    private void serial() {
        if (!link.signal().serial()) {
            return;
        }
        settings();
        SerialLine.all(cabling).stream()
                .filter(l -> l.links().contains(link))
                .findFirst()
                .flatMap(SerialRate::of)
                .ifPresent(
                        r ->
                                steps.add(
                                        new SumLine(
                                                "Updates",
                                                number(r.whole(), 1)
                                                        + " a second for all, at "
                                                        + r.baud()
                                                        + " baud",
                                                number(r.perCamera(), 1) + " a second each",
                                                "Command and replies on the wire, all moving",
                                                r.perCamera() >= 10)));
        reach();
        leads();
    }

    private void settings() {
        String both =
                Stream.of(link.giver(), link.taker())
                        .map(Link.Plug::device)
                        .map(RunSums::setting)
                        .collect(Collectors.joining("; "));
        List<SerialSettings> ends =
                Stream.of(link.giver(), link.taker())
                        .flatMap(p -> SerialSettings.of(p.device()).stream())
                        .toList();
        boolean alike =
                ends.size() < 2
                        || ends.get(0).baud() == ends.get(1).baud()
                                && ends.get(0).framing().equals(ends.get(1).framing());
        steps.add(
                new SumLine(
                        "Settings",
                        both,
                        alike ? "alike" : "differ",
                        "As set, else as from the factory",
                        alike));
    }

    private static String setting(Device d) {
        return SerialSettings.of(d)
                .map(s -> d.name() + " " + s.baud() + " " + s.framing())
                .orElse(d.name() + " unknown");
    }

    private void reach() {
        double sure =
                switch (link.signal()) {
                    case RS_232 -> SerialReach.RS_232_SURE;
                    case RS_422 -> SerialReach.RS_422;
                    default -> SerialReach.RS_485;
                };
        steps.add(
                new SumLine(
                        "Reaches",
                        link.signal() == Signal.RS_232
                                ? "guaranteed; likely to "
                                        + figures.length(SerialReach.rs232Likely())
                                        + " at 9600 baud"
                                : "all its runs together",
                        figures.length(sure),
                        "TIA-232, TIA-422, TIA-485",
                        run.metres() <= sure));
    }

    private void leads() {
        List<Double> offered =
                Stream.of(link.from(), link.to())
                        .flatMap(e -> e.device().profile().leadMetres().stream())
                        .distinct()
                        .toList();
        List<Double> leads = Leads.cover(run.metres(), offered);
        if (!leads.isEmpty() && link.signal() == Signal.RS_232) {
            double sum = leads.stream().mapToDouble(l -> l).sum();
            steps.add(
                    SumLine.of(
                            "Leads",
                            leads.stream().map(figures::length).collect(Collectors.joining(" + ")),
                            figures.length(sum - run.metres()) + " slack",
                            "Fewest that cover it, then least slack"));
        }
    }

    private void stream() {
        if (link.signal() != Signal.NETWORK) {
            return;
        }
        Streams streams = Streams.of(cabling);
        double load = streams.loads().getOrDefault(link, 0.0);
        if (load > 0) {
            double allowed = Streams.LINK_MBITS * (100 - job.site().habits().linkHeadroom()) / 100;
            steps.add(
                    new SumLine(
                            "Network pictures",
                            streams.pictures(link) + " viewers, one copy each",
                            number(load, 1) + " of " + number(allowed, 0) + " Mb/s",
                            "Rule of thumb of the codec; share kept free by Site",
                            load <= allowed));
        }
        for (Device d : List.of(link.from().device(), link.to().device())) {
            Streams.address(d)
                    .ifPresent(
                            a ->
                                    steps.add(
                                            SumLine.of(
                                                    "Picture of " + d.name(),
                                                    Streams.megabits(d, cabling)
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
