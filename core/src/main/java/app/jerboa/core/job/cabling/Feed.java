package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.PoeClass;
import java.util.Optional;

/**
 * One run that feeds one device.
 *
 * @param load the device it feeds
 * @param volts at the giving end, the least it may be
 * @param ohms of the whole loop
 * @param watts what the device takes at most, with all that hangs behind it; in watts
 * @param idle the same at rest
 * @param most solved for {@code watts}; empty when the run cannot carry that at all
 * @param rest solved for {@code idle}
 * @param leastVolts the device must see
 * @param poe class of the device; empty unless over Ethernet
 */
public record Feed(
        Device load,
        Link link,
        PowerOver over,
        double volts,
        double ohms,
        double watts,
        double idle,
        Optional<ConstantLoad> most,
        Optional<ConstantLoad> rest,
        double leastVolts,
        Optional<PoeClass> poe) {

    /** It feeds the same over the very same run. */
    @SuppressWarnings("ReferenceEquality") // The same run between devices that are others is not.
    boolean is(Link other, double otherWatts, double otherIdle) {
        return link == other && watts == otherWatts && idle == otherIdle;
    }

    /** The socket that gives. */
    public Link.Plug port() {
        return link.beyond(load.id());
    }

    /** The same over a loop of other resistance. */
    public Feed over(double otherOhms) {
        return at(volts, otherOhms, watts, leastVolts);
    }

    /** The same link with another source, loop and load. */
    public Feed at(double sourceVolts, double loop, double taken, double least) {
        return new Feed(
                load,
                link,
                over,
                sourceVolts,
                loop,
                taken,
                idle,
                ConstantLoad.of(sourceVolts, loop, taken),
                ConstantLoad.of(sourceVolts, loop, Math.min(idle, taken)),
                least,
                poe);
    }

    /** The longest the run may be for the device to see its least volts; 0 when never. */
    public double longestMetres(double ohmsPerMetre, double fixedOhms) {
        double lowest = Math.max(leastVolts, volts / 2);
        double loop = watts > 0 ? (volts - lowest) * lowest / watts : Double.POSITIVE_INFINITY;
        return Math.max(0, (loop - fixedOhms) / ohmsPerMetre);
    }

    public boolean works() {
        return most.filter(l -> l.volts() >= leastVolts).isPresent();
    }

    /** Volts at the device; 0 when the run cannot carry that load. */
    public double deviceVolts() {
        return most.map(ConstantLoad::volts).orElse(0.0);
    }

    /** What the giving end delivers with everything moving; the load itself where no sum exists. */
    public double givenWatts() {
        return most.map(ConstantLoad::sourceWatts).orElse(watts);
    }

    public double givenIdle() {
        return rest.map(ConstantLoad::sourceWatts).orElse(idle);
    }

    /** What a port sets aside for the device's class, no more than its own class has. */
    public double reserved(PoeClass port) {
        return poe.map(c -> Math.min(c.portWatts(), port.portWatts())).orElse(0.0);
    }
}
