package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;
import static app.jerboa.server.cabling.Figures.ohms;
import static app.jerboa.server.cabling.Figures.unit;
import static app.jerboa.server.cabling.Figures.volts;
import static app.jerboa.server.cabling.Figures.watts;
import static app.jerboa.server.cabling.SumLine.say;

import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.power.Battery;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.Copper;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/** Power over one run, step by step. */
final class PowerSteps {
    private static final String COPPER = Words.say("rule.copper");
    private static final String CONSTANT = Words.say("rule.constant");
    private static final String ETHERNET = Words.say("rule.802");

    private final Feed feed;
    private final Run run;
    private final Figures figures;
    private final boolean ethernet;
    private final List<SumLine> steps = new ArrayList<>();

    private PowerSteps(Feed feed, Run run, Figures figures) {
        this.feed = feed;
        this.run = run;
        this.figures = figures;
        ethernet = feed.over() != PowerOver.DC;
    }

    /**
     * @param run as it is, or as it might be
     */
    static List<SumLine> of(Feed feed, Run run, Figures figures) {
        PowerSteps steps = new PowerSteps(feed, run, figures);
        steps.classes();
        steps.loop();
        steps.load();
        feed.most().ifPresentOrElse(steps::solved, steps::unsolved);
        steps.longest();
        steps.byGauge();
        steps.battery();
        return steps.steps;
    }

    private void add(String what, String sum, String result, String source) {
        steps.add(SumLine.of(what, sum, result, source));
    }

    private void classes() {
        if (feed.poe().isEmpty()) {
            return;
        }
        PoeClass device = feed.poe().get();
        int given =
                feed.port()
                        .device()
                        .profile()
                        .gives()
                        .map(PowerSource::poeClass)
                        .orElse(OptionalInt.empty())
                        .orElse(3);
        PoeClass port = PoeClass.of(given);
        Map<String, Object> facts =
                Map.of(
                        "device", Integer.toString(device.number()),
                        "pairs", Integer.toString(device.pairs()),
                        "port", Integer.toString(given),
                        "watts", watts(port.deviceWatts()));
        steps.add(
                new SumLine(
                        say("class.what"),
                        say("class.sum", facts),
                        say("class.result", Map.of("watts", watts(feed.reserved(port)))),
                        ETHERNET,
                        feed.watts() <= port.deviceWatts()));
    }

    private void loop() {
        double perKm = Copper.ohmsPerMetre(run.wire(), 20, run.clad()) * 1000;
        String wire =
                say(
                        "loop.wire",
                        Map.of(
                                "ohms", number(perKm, 2),
                                "km", number(run.metres() / 1000, 4),
                                "clad", Boolean.toString(run.clad())));
        String sum =
                ethernet
                        ? say(
                                "loop.ethernet",
                                Map.of(
                                        "wire",
                                        wire,
                                        "pairs",
                                        feed.poe().map(PoeClass::pairs).orElse(2)))
                        : say(
                                "loop.dc",
                                Map.of(
                                        "wire",
                                        wire,
                                        "conductors",
                                        Integer.toString(run.conductors())));
        String what =
                say(
                        "loop.what",
                        Map.of(
                                "gauge", Integer.toString(run.wire()),
                                "length", figures.length(run.metres())));
        add(what, sum, ohms(feed.ohms()), COPPER);
    }

    private void load() {
        add(
                say("load.what"),
                say("load.sum", Map.of("idle", watts(feed.idle()))),
                watts(feed.watts()),
                say("load.source"));
    }

    private void solved(ConstantLoad load) {
        Map<String, Object> facts =
                Map.of(
                        "volts", volts(feed.volts()),
                        "ohms", ohms(feed.ohms()),
                        "watts", watts(feed.watts()),
                        "lost", watts(load.sourceWatts() - feed.watts()),
                        "least", volts(feed.leastVolts()));
        add(
                say("current.what"),
                feed.ohms() == 0 ? say("current.short") : say("current.sum", facts),
                unit("amps", number(load.amps(), 3)),
                CONSTANT);
        add(say("given.what"), say("given.sum", facts), watts(load.sourceWatts()), CONSTANT);
        steps.add(
                new SumLine(
                        say("device-volts.what"),
                        say("device-volts.sum", facts),
                        volts(load.volts()),
                        say(ethernet ? "device-volts.ethernet" : "device-volts.dc"),
                        feed.works()));
    }

    private void unsolved() {
        steps.add(
                new SumLine(
                        say("device-volts.what"),
                        say("device-volts.never"),
                        say("device-volts.none"),
                        CONSTANT,
                        false));
    }

    private void longest() {
        double most = longest(run.wire());
        boolean channel = ethernet && most > 100;
        add(
                say("longest.what"),
                channel
                        ? say("longest.channel", Map.of("length", figures.length(most)))
                        : say("longest.volts"),
                figures.length(channel ? 100 : most),
                channel ? say("longest.source") : CONSTANT);
    }

    /** The longest run in that gauge, by volts. */
    private double longest(int gauge) {
        int pairs = feed.poe().map(PoeClass::pairs).orElse(2);
        double fixed = ethernet ? PoeRun.CONNECTORS : 0;
        double perMetre =
                ethernet
                        ? PowerPlan.poeOhms(1, gauge, run.clad(), pairs) - fixed
                        : PowerPlan.dcOhms(1, gauge, run.clad(), run.conductors());
        return feed.longestMetres(perMetre, fixed);
    }

    /** What another gauge of the same cable would allow. */
    private void byGauge() {
        List<String> each = new ArrayList<>();
        for (int gauge : run.cable().gauges()) {
            double most = longest(gauge);
            String length = figures.length(ethernet ? Math.min(100, most) : most);
            each.add(say("gauge.each", Map.of("gauge", Integer.toString(gauge), "length", length)));
        }
        if (each.size() > 1) {
            add(say("gauge.what"), String.join(", ", each), say("gauge.result"), CONSTANT);
        }
    }

    private void battery() {
        feed.port()
                .device()
                .profile()
                .gives()
                .filter(g -> g.wattHours().isPresent())
                .ifPresent(g -> battery(g.wattHours().getAsDouble()));
    }

    private void battery(double wattHours) {
        add(
                say("battery.what"),
                say(
                        "battery.sum",
                        Map.of(
                                "hours", Double.toString(wattHours),
                                "watts", watts(feed.givenWatts()))),
                unit("hours", number(Battery.hours(wattHours, feed.givenWatts()), 1)),
                say("battery.source"));
    }
}
