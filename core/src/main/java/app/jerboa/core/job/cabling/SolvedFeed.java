package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import java.util.Optional;
import java.util.OptionalInt;

/** What arrives over one run, from the volts that are given and the ohms on the way. */
final class SolvedFeed {
    private SolvedFeed() {}

    /**
     * @param source what gives; null for none
     * @param load W that the device takes with all that hangs on it, at most
     * @param idle the same, at rest
     */
    static Feed of(Device d, Link link, PowerSource source, double load, double idle) {
        if (link.signal() == Signal.DC) {
            double volts = source == null ? 0 : source.volts().orElse(0);
            Run run = link.run();
            double ohms = PowerPlan.dcOhms(run.metres(), run.wire(), run.clad(), run.conductors());
            return feed(
                    d,
                    link,
                    PowerOver.DC,
                    volts,
                    ohms,
                    load,
                    idle,
                    PowerPlan.leastVolts(d),
                    Optional.empty());
        } else if (source != null && source.passive()) {
            double volts = source.volts().orElse(24);
            double ohms = poeOhms(link.run(), 2);
            return feed(
                    d,
                    link,
                    PowerOver.PASSIVE,
                    volts,
                    ohms,
                    load,
                    idle,
                    PowerPlan.leastVolts(d),
                    Optional.empty());
        }
        PoeClass poe = PoeClass.of(d.profile().draw().orElseThrow().poeClass().orElseThrow());
        return feed(
                d,
                link,
                PowerOver.POE,
                portVolts(poe, source),
                poeOhms(link.run(), poe.pairs()),
                load,
                idle,
                poe.deviceVolts(),
                Optional.of(poe));
    }

    /** A port of a lower class gives the volts of its own class, whatever the device asks for. */
    private static double portVolts(PoeClass asked, PowerSource source) {
        OptionalInt port = source == null ? OptionalInt.empty() : source.poeClass();
        return port.isEmpty()
                ? asked.portVolts()
                : Math.min(asked.portVolts(), PoeClass.of(port.getAsInt()).portVolts());
    }

    private static Feed feed(
            Device load,
            Link link,
            PowerOver over,
            double volts,
            double ohms,
            double watts,
            double idle,
            double least,
            Optional<PoeClass> poe) {
        return new Feed(
                load,
                link,
                over,
                volts,
                ohms,
                watts,
                idle,
                volts > 0 ? ConstantLoad.of(volts, ohms, watts) : Optional.empty(),
                volts > 0 ? ConstantLoad.of(volts, ohms, idle) : Optional.empty(),
                least,
                poe);
    }

    private static double poeOhms(Run run, int pairs) {
        return PowerPlan.poeOhms(run.metres(), run.wire(), run.clad(), pairs);
    }
}
