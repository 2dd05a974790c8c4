package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.power.Battery;
import app.jerboa.core.power.DcVolts;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** How else the device at the end of a run could be fed with what is in the kit. */
public final class PowerChoices {
    private PowerChoices() {}

    /**
     * One way.
     *
     * @param source what would feed it; empty for a supply where it stands
     * @param volts it would see; 0 where the run cannot carry that
     * @param spareWatts the source would have left
     * @param hours from a battery; 0 for what does not run down
     */
    public record Choice(
            Optional<Device> source,
            PowerOver over,
            double volts,
            double spareWatts,
            double hours,
            boolean works) {}

    /** In the order of the kit; a supply of its own comes last. */
    public static List<Choice> of(PowerPlan plan, Feed feed) {
        List<Choice> all = new ArrayList<>();
        for (Device d : plan.cabling().job().devices()) {
            if (!d.equals(feed.port().device()) && !d.equals(feed.load())) {
                if (feed.over() == PowerOver.DC) {
                    dc(plan, feed, d).ifPresent(all::add);
                } else {
                    poe(plan, feed, d).ifPresent(all::add);
                }
            }
        }
        feed.load()
                .profile()
                .draw()
                .filter(x -> x.volts().isPresent())
                .ifPresent(x -> all.add(local(x)));
        return all;
    }

    private static Choice local(PowerDraw draw) {
        return new Choice(Optional.empty(), PowerOver.DC, draw.volts().orElseThrow(), 0, 0, true);
    }

    private static Optional<Choice> dc(PowerPlan plan, Feed feed, Device source) {
        Optional<PowerSource> gives =
                source.profile().gives().filter(g -> g.volts().isPresent() && !g.passive());
        boolean kind =
                source.profile().sort() == Sort.POWER_SUPPLY
                        || source.profile().sort() == Sort.BATTERY;
        double wanted = feed.load().profile().draw().flatMap(d -> optional(d.volts())).orElse(0.0);
        if (gives.isEmpty()
                || !kind
                || !DcVolts.suits(gives.get().volts().orElseThrow(), wanted)
                || plan.cabling()
                        .free(source.id())
                        .noneMatch(p -> p.socket().join() == Join.DC_OUT)) {
            return Optional.empty();
        }
        PowerSource g = gives.get();
        Feed other = feed.at(g.volts().orElseThrow(), feed.ohms(), feed.watts(), feed.leastVolts());
        double spare = g.outWatts().orElse(0) - other.givenWatts();
        double hours =
                g.wattHours().isPresent()
                        ? Battery.hours(g.wattHours().getAsDouble(), other.givenWatts())
                        : 0;
        return Optional.of(
                new Choice(
                        Optional.of(source),
                        PowerOver.DC,
                        other.deviceVolts(),
                        spare,
                        hours,
                        other.works() && spare >= 0));
    }

    private static Optional<Double> optional(OptionalDouble value) {
        return value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty();
    }

    private static Optional<Choice> poe(PowerPlan plan, Feed feed, Device source) {
        return PoeBudget.of(plan, source)
                .filter(b -> plan.cabling().free(source.id()).anyMatch(PowerPlan::gives))
                .map(
                        b -> {
                            double spare = b.allowedWatts() - b.movingWatts() - feed.givenWatts();
                            boolean enough = feed.watts() <= b.port().deviceWatts();
                            return new Choice(
                                    Optional.of(source),
                                    PowerOver.POE,
                                    feed.deviceVolts(),
                                    spare,
                                    0,
                                    enough && spare >= 0 && feed.works());
                        });
    }
}
