package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.between;
import static app.jerboa.server.sums.SumCheck.insist;
import static app.jerboa.server.sums.SumCheck.needed;
import static app.jerboa.server.sums.SumCheck.positive;

import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.Copper;
import app.jerboa.core.power.DcRun;
import app.jerboa.core.power.PoeRun;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Power over a run; what cannot work is an answer, not an error. What comes in is fields and not a
 * record, so that a key that is left out keeps its default.
 */
@RestController
@RequestMapping("/api/sums")
class PowerSums {
    private static final double MOST_METRES = 10_000;
    private static final double MOST_VOLTS = 400;
    private static final double MOST_WATTS = 10_000;
    private static final double COLDEST = -60;
    private static final double HOTTEST = 120;

    /** Pairs 2 or 4; defaults 20 °C, 0.2 ohm of connectors, copper, 37 V at the device. */
    static final class PoeIn {
        public Double watts;
        public Double metres;
        public Integer gauge;
        public Integer pairs;
        public double celsius = 20;
        public Double volts;
        public double connectorOhms = 0.2;
        public boolean copperClad = false;
        public double minDeviceVolts = 37;
    }

    /** Amps and volts are null where no current is enough. */
    record PoeOut(
            double loopOhms, Double amps, Double portWatts, Double deviceVolts, boolean works) {}

    /** Either amps or watts; defaults one conductor a leg, 20 °C. */
    static final class DcIn {
        public Double supplyVolts;
        public Double amps;
        public Double watts;
        public Double metres;
        public Integer gauge;
        public int conductorsPerLeg = 1;
        public double celsius = 20;
        public Double minDeviceVolts;
    }

    /** Volts are null where no current is enough. */
    record DcOut(
            double loopOhms,
            Double deviceVolts,
            Double dropVolts,
            boolean works,
            double longestMetres) {}

    @PostMapping("/poe-run")
    PoeOut poe(@RequestBody PoeIn in) {
        double watts = positive("watts", needed("watts", in.watts), MOST_WATTS);
        double metres = between("metres", needed("metres", in.metres), 0, MOST_METRES);
        double volts = positive("volts", needed("volts", in.volts), MOST_VOLTS);
        int pairs = needed("pairs", in.pairs);
        insist("pairs", pairs == 2 || pairs == 4, "2 or 4");
        double connectors = between("connectorOhms", in.connectorOhms, 0, 100);
        double least = between("minDeviceVolts", in.minDeviceVolts, 0, MOST_VOLTS);
        double perMetre = Copper.ohmsPerMetre(gauge(in.gauge), celsius(in.celsius), in.copperClad);
        double loop = PoeRun.ohms(metres, perMetre, pairs, connectors);
        Optional<ConstantLoad> load = ConstantLoad.of(volts, loop, watts);
        return new PoeOut(
                loop,
                load.map(ConstantLoad::amps).orElse(null),
                load.map(ConstantLoad::sourceWatts).orElse(null),
                load.map(ConstantLoad::volts).orElse(null),
                load.filter(l -> l.volts() >= least).isPresent());
    }

    @PostMapping("/dc-run")
    DcOut dc(@RequestBody DcIn in) {
        double supply = positive("supplyVolts", needed("supplyVolts", in.supplyVolts), MOST_VOLTS);
        double metres = between("metres", needed("metres", in.metres), 0, MOST_METRES);
        double least =
                between(
                        "minDeviceVolts",
                        needed("minDeviceVolts", in.minDeviceVolts),
                        0,
                        MOST_VOLTS);
        int conductors = between("conductorsPerLeg", in.conductorsPerLeg, 1, 16);
        double perMetre = DcRun.ohmsPerMetre(gauge(in.gauge), conductors, celsius(in.celsius));
        insist("watts", in.amps == null || in.watts == null, "left out where amps are given");
        DcRun run =
                in.amps == null
                        ? DcRun.power(
                                supply,
                                positive("watts", needed("watts", in.watts), MOST_WATTS),
                                metres,
                                perMetre,
                                least)
                        : DcRun.current(
                                supply, positive("amps", in.amps, 1_000), metres, perMetre, least);
        return new DcOut(
                run.loopOhms(),
                run.deviceVolts().orElse(null),
                run.deviceVolts().map(v -> supply - v).orElse(null),
                run.works(),
                run.longestMetres());
    }

    private static int gauge(Integer given) {
        int gauge = needed("gauge", given);
        insist("gauge", Copper.GAUGES.contains(gauge), "one of " + Copper.GAUGES);
        return gauge;
    }

    private static double celsius(double given) {
        return between("celsius", given, COLDEST, HOTTEST);
    }
}
