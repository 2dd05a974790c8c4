package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;
import static app.jerboa.server.cabling.SumLine.say;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.SerialRate;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.profile.SerialLine;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.serial.Leads;
import app.jerboa.core.serial.SerialReach;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One serial lead, step by step: settings, updates, poles, reach, the leads it is made of. */
final class SerialSteps {
    private final Link link;
    private final Run run;
    private final Figures figures;
    private final List<SumLine> steps = new ArrayList<>();

    private SerialSteps(Link link, Figures figures) {
        this.link = link;
        this.figures = figures;
        run = link.run();
    }

    /**
     * @param link of a serial signal
     */
    static List<SumLine> of(Cabling cabling, Link link, Figures figures) {
        SerialSteps steps = new SerialSteps(link, figures);
        steps.settings();
        steps.updates(cabling);
        steps.poles();
        steps.reach();
        steps.leads();
        return steps.steps;
    }

    private void updates(Cabling cabling) {
        ChainOrBus.all(cabling).stream()
                .filter(l -> l.links().contains(link))
                .findFirst()
                .flatMap(SerialRate::of)
                .ifPresent(r -> steps.add(updates(r)));
    }

    private static SumLine updates(SerialRate r) {
        Map<String, String> facts =
                Map.of(
                        "all", number(r.whole(), 1),
                        "each", number(r.perCamera(), 1),
                        "baud", Integer.toString(r.baud()));
        return new SumLine(
                say("updates.what"),
                say("updates.sum", facts),
                say("updates.result", facts),
                say("updates.source"),
                r.perCamera() >= 10);
    }

    /** Makers letter A and B both ways round: what each of them calls its wires. */
    private void poles() {
        if (link.signal() == Signal.RS_232) {
            return;
        }
        steps.add(
                SumLine.of(
                        say("poles.what"),
                        pole(SerialLine::plus),
                        say("poles.result"),
                        say("poles.source", Map.of("minus", pole(SerialLine::minus)))));
    }

    private String pole(Function<SerialLine, String> wire) {
        return Stream.of(link.source(), link.load())
                .map(Link.Plug::device)
                .map(d -> pole(d, wire))
                .collect(Collectors.joining("; "));
    }

    private static String pole(Device d, Function<SerialLine, String> wire) {
        Optional<String> name = d.profile().serial().map(wire);
        return say(
                name.isPresent() ? "poles.end" : "poles.label",
                Map.of("device", d.name(), "wire", name.orElse("")));
    }

    private void settings() {
        String both =
                Stream.of(link.source(), link.load())
                        .map(Link.Plug::device)
                        .map(SerialSteps::setting)
                        .collect(Collectors.joining("; "));
        List<SerialSettings> ends =
                Stream.of(link.source(), link.load())
                        .flatMap(p -> SerialSettings.of(p.device()).stream())
                        .toList();
        boolean alike =
                ends.size() < 2
                        || ends.get(0).baud() == ends.get(1).baud()
                                && ends.get(0).framing().equals(ends.get(1).framing());
        steps.add(
                new SumLine(
                        say("settings.what"),
                        both,
                        say(alike ? "settings.alike" : "settings.differ"),
                        say("settings.source"),
                        alike));
    }

    private static String setting(Device d) {
        return SerialSettings.of(d)
                .map(
                        s ->
                                say(
                                        "settings.end",
                                        Map.of(
                                                "device", d.name(),
                                                "baud", Integer.toString(s.baud()),
                                                "framing", s.framing())))
                .orElseGet(() -> say("settings.unknown", Map.of("device", d.name())));
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
                        say("reach.what"),
                        link.signal() == Signal.RS_232
                                ? say(
                                        "reach.rs-232",
                                        Map.of("length", figures.length(SerialReach.rs232Likely())))
                                : say("reach.bus"),
                        figures.length(sure),
                        say("reach.source"),
                        run.metres() <= sure));
    }

    private void leads() {
        List<Double> leads = Leads.cover(run.metres(), link.leadLengths());
        if (!leads.isEmpty() && link.signal() == Signal.RS_232) {
            double sum = leads.stream().mapToDouble(l -> l).sum();
            steps.add(
                    SumLine.of(
                            say("leads.what"),
                            leads.stream().map(figures::length).collect(Collectors.joining(" + ")),
                            say(
                                    "leads.result",
                                    Map.of("length", figures.length(sum - run.metres()))),
                            say("leads.source")));
        }
    }
}
