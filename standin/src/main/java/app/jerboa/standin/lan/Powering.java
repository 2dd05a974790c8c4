package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.Feed;
import app.jerboa.core.job.cabling.PowerOver;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Who has power now, by the leads that are plugged and the switches that are on. */
final class Powering {
    /**
     * Of one device.
     *
     * @param why it has none; else what gives it
     * @param from the device that gives it over a lead; empty for its own supply
     * @param volts at it; 0 where nobody counts them
     * @param watts that its source gives for it
     */
    record Power(boolean on, String why, Optional<DeviceId> from, double volts, double watts) {
        static Power off(String why) {
            return new Power(false, why, Optional.empty(), 0, 0);
        }
    }

    /** What hands have to do with it. */
    interface Hands {
        /** Its own supply or battery is on. */
        boolean supply(DeviceId device);

        /** It moves, and takes the most it can. */
        boolean moves(DeviceId device);

        /** The port gives power and carries a link. */
        boolean port(Port at);

        /** Watts of its budget that something else takes. */
        double spent(DeviceId source);
    }

    private final PowerPlan plan;
    private final Hands hands;
    private final Map<DeviceId, Power> found = new LinkedHashMap<>();
    private final Map<DeviceId, Set<DeviceId>> shed = new HashMap<>();
    private final Set<DeviceId> open = new HashSet<>();

    private Powering(PowerPlan plan, Hands hands) {
        this.plan = plan;
        this.hands = hands;
    }

    /**
     * @param plan of the leads that are plugged
     */
    static Map<DeviceId, Power> of(PowerPlan plan, Hands hands) {
        Powering powering = new Powering(plan, hands);
        plan.cabling().job().devices().forEach(powering::power);
        return powering.found;
    }

    private Power power(Device d) {
        Power known = found.get(d.id());
        if (known != null) {
            return known;
        }
        if (!open.add(d.id())) {
            return Power.off("its power goes in a circle");
        }
        Power power = solve(d);
        open.remove(d.id());
        found.put(d.id(), power);
        return power;
    }

    private Power solve(Device d) {
        if (d.profile().draw().isEmpty()) {
            return new Power(true, "needs none", Optional.empty(), 0, 0);
        }
        if (hands.supply(d.id())) {
            return new Power(true, "its own supply", Optional.empty(), 0, 0);
        }
        return plan.to(d.id()).map(this::over).orElse(Power.off("no lead gives it power"));
    }

    private Power over(Feed feed) {
        Device source = feed.port().device();
        if (!power(source).on()) {
            return Power.off(source.name() + " has no power itself");
        }
        if (!hands.port(Port.of(feed.port()))) {
            return Power.off(feed.port() + " is off");
        }
        if (shedBy(source).contains(feed.load().id())) {
            return Power.off(
                    source.name() + " has no watts left for " + feed.port().socket().name());
        }
        Optional<ConstantLoad> load = load(feed);
        double volts = load.map(ConstantLoad::volts).orElse(0.0);
        if (volts < feed.leastVolts() || volts == 0) {
            return new Power(
                    false,
                    String.format(
                            Locale.ROOT,
                            "%.1f V arrive, it needs %.1f V",
                            volts,
                            feed.leastVolts()),
                    Optional.of(source.id()),
                    volts,
                    0);
        }
        return new Power(
                true,
                feed.port().toString(),
                Optional.of(source.id()),
                volts,
                load.get().sourceWatts());
    }

    private Optional<ConstantLoad> load(Feed feed) {
        return moves(feed.load(), new HashSet<>()) ? feed.most() : feed.rest();
    }

    /** It, or what it passes its power on to. */
    private boolean moves(Device d, Set<DeviceId> seen) {
        return seen.add(d.id())
                && (hands.moves(d.id())
                        || plan.from(d.id()).stream().anyMatch(f -> moves(f.load(), seen)));
    }

    /** The last ports go first when a source has not enough. */
    private Set<DeviceId> shedBy(Device source) {
        return shed.computeIfAbsent(source.id(), id -> new HashSet<>(shedding(source)));
    }

    private List<DeviceId> shedding(Device source) {
        double budget = source.profile().gives().map(Powering::budget).orElse(0.0);
        List<Feed> feeds =
                plan.from(source.id()).stream()
                        .filter(f -> hands.port(Port.of(f.port())))
                        .filter(f -> !hands.supply(f.load().id()))
                        .toList();
        double left = budget - hands.spent(source.id());
        List<DeviceId> out = new ArrayList<>();
        for (Feed f : feeds) {
            double watts = load(f).map(ConstantLoad::sourceWatts).orElse(0.0);
            if (watts > left && counts(f, budget)) {
                out.add(f.load().id());
            } else {
                left -= watts;
            }
        }
        return out;
    }

    private static boolean counts(Feed f, double budget) {
        return budget > 0 && f.over() != PowerOver.PASSIVE;
    }

    private static double budget(PowerSource gives) {
        return gives.budgetWatts() > 0 ? gives.budgetWatts() : gives.outWatts().orElse(0);
    }
}
