package app.jerboa.server.cabling;

import static app.jerboa.server.cabling.Figures.number;
import static app.jerboa.server.cabling.Figures.ohms;
import static app.jerboa.server.cabling.Figures.volts;
import static app.jerboa.server.cabling.Figures.watts;

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
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/** Power over one run, step by step. */
final class PowerSteps {
    private static final String COPPER = "Copper table at 20 °C";
    private static final String CONSTANT = "Constant power: V I - I² R = P, the smaller current";

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
        steps.add(
                new SumLine(
                        "Class",
                        "device class "
                                + device.number()
                                + ", "
                                + device.pairs()
                                + " pairs; port class "
                                + given
                                + " gives "
                                + watts(port.deviceWatts())
                                + " at the device",
                        "reserves " + watts(feed.reserved(port)),
                        "IEEE 802.3",
                        feed.watts() <= port.deviceWatts()));
    }

    private void loop() {
        double perKm = Copper.ohmsPerMetre(run.wire(), 20, run.clad()) * 1000;
        String wire =
                number(perKm, 2)
                        + " Ω/km × "
                        + number(run.metres() / 1000, 4)
                        + " km"
                        + (run.clad() ? " (copper-clad, × 1.6)" : "");
        String sum =
                ethernet
                        ? wire
                                + (feed.poe().map(PoeClass::pairs).orElse(2) == 4 ? " ÷ 2" : "")
                                + " + 0.2 Ω"
                        : "2 × " + wire + " ÷ " + run.conductors();
        String what = "Loop of AWG " + run.wire() + ", " + figures.length(run.metres());
        add(what, sum, ohms(feed.ohms()), COPPER);
    }

    private void load() {
        add(
                "Load",
                "with all moving, and what hangs behind it; at rest " + watts(feed.idle()),
                watts(feed.watts()),
                "Profile: power");
    }

    private void solved(ConstantLoad load) {
        String root =
                "√("
                        + volts(feed.volts())
                        + "² - 4 × "
                        + ohms(feed.ohms())
                        + " × "
                        + watts(feed.watts())
                        + ")";
        add(
                "Current",
                feed.ohms() == 0 ? "P ÷ V" : "(" + volts(feed.volts()) + " - " + root + ") ÷ 2R",
                number(load.amps(), 3) + " A",
                CONSTANT);
        add(
                "At the giving end",
                "V × I; lost on the way " + watts(load.sourceWatts() - feed.watts()),
                watts(load.sourceWatts()),
                CONSTANT);
        steps.add(
                new SumLine(
                        "Volts at the device",
                        "V - I × R; it needs " + volts(feed.leastVolts()),
                        volts(load.volts()),
                        ethernet ? "IEEE 802.3: least at the device" : "Profile: least volts",
                        feed.works()));
    }

    private void unsolved() {
        steps.add(
                new SumLine(
                        "Volts at the device",
                        "V² < 4 R P: the run cannot carry that load at all",
                        "none",
                        CONSTANT,
                        false));
    }

    private void longest() {
        double most = longest(run.wire());
        boolean channel = ethernet && most > 100;
        add(
                "Longest that works",
                channel
                        ? "by volts " + figures.length(most) + "; a network channel is 100 m"
                        : "where the device sits at its least volts",
                figures.length(channel ? 100 : most),
                channel ? "TIA-568" : CONSTANT);
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
            each.add("AWG " + gauge + " " + figures.length(ethernet ? Math.min(100, most) : most));
        }
        if (each.size() > 1) {
            add("By gauge", String.join(", ", each), "longest of each", CONSTANT);
        }
    }

    private void battery() {
        feed.port()
                .device()
                .profile()
                .gives()
                .filter(g -> g.wattHours().isPresent())
                .ifPresent(
                        g ->
                                add(
                                        "Battery lasts",
                                        g.wattHours().getAsDouble()
                                                + " Wh × 0.9 ÷ "
                                                + watts(feed.givenWatts()),
                                        number(
                                                        Battery.hours(
                                                                g.wattHours().getAsDouble(),
                                                                feed.givenWatts()),
                                                        1)
                                                + " h",
                                        "Battery: 90 % of its watt-hours"));
    }
}
