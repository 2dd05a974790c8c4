package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Run;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.Copper;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.power.PoeRun;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/** What feeds each device over which run, and what each run loses. At 20 °C. */
public final class PowerPlan {
    /** A DC device without a stated least works down to nominal less 10 %. */
    public static final double LEAST_SHARE = 0.9;

    /** What a splitter or converter passes on where its profile does not say. */
    private static final double EFFICIENCY = 0.85;

    private static final double CELSIUS = 20;

    private final Cabling cabling;
    private final Map<DeviceId, Feed> feeds = new LinkedHashMap<>();
    private final Map<DeviceId, List<Feed>> given = new HashMap<>();
    private final Map<Long, Feed> byRun = new HashMap<>();
    private final Map<DeviceId, Link> feeding = new HashMap<>();
    private final Map<DeviceId, List<Device>> behind = new HashMap<>();
    private final Set<DeviceId> open = new HashSet<>();
    private List<Feed> inOrder = List.of();

    private PowerPlan(Cabling cabling) {
        this.cabling = cabling;
    }

    public static PowerPlan of(Cabling cabling) {
        return cabling.job().worked(PowerPlan.class, () -> fed(cabling));
    }

    private static PowerPlan fed(Cabling cabling) {
        PowerPlan plan = new PowerPlan(cabling);
        for (Device d : cabling.job().devices()) {
            plan.feedingLink(d).ifPresent(l -> plan.hang(d, l));
        }
        plan.inOrder =
                cabling.job().devices().stream()
                        .map(plan::feed)
                        .filter(Optional::isPresent)
                        .map(Optional::get)
                        .toList();
        plan.given
                .values()
                .forEach(l -> l.sort(Comparator.comparingInt(f -> f.port().socket().number())));
        return plan;
    }

    private void hang(Device d, Link link) {
        feeding.put(d.id(), link);
        behind.computeIfAbsent(link.beyond(d.id()).device().id(), x -> new ArrayList<>()).add(d);
    }

    /** A DC lead goes before the network port: what has both is fed by the lead. */
    private Optional<Link> feedingLink(Device d) {
        Optional<Link> dc =
                cabling.at(d.id()).stream()
                        .filter(l -> l.signal() == Signal.DC && l.load().of(d.id()))
                        .findFirst();
        return dc.isPresent() ? dc : poeLink(d);
    }

    private Optional<Link> poeLink(Device d) {
        boolean takes = d.profile().draw().isPresent();
        return cabling.at(d.id()).stream()
                .filter(l -> takes && l.signal() == Signal.NETWORK && l.run().poe())
                .filter(l -> l.run().cable().powers())
                .filter(l -> gives(l.beyond(d.id())) && !gives(l.at(d.id())))
                .filter(l -> asks(d) || passive(l.beyond(d.id())))
                .findFirst();
    }

    private static boolean asks(Device d) {
        return d.profile()
                .draw()
                .filter(x -> x.poeClass().isPresent() && !x.splitter())
                .isPresent();
    }

    private static boolean passive(Link.Plug plug) {
        return plug.device().profile().gives().filter(PowerSource::passive).isPresent();
    }

    /** Ports of power come first, then the network ports in their order, as many as give. */
    public static boolean gives(Link.Plug plug) {
        Optional<PowerSource> source = plug.device().profile().gives();
        if (source.isEmpty() || source.get().poePorts() == 0) {
            return false;
        }
        boolean ofPower =
                plug.device().profile().ports().stream()
                        .anyMatch(p -> p.join() == Join.ETHERNET && p.use() == PortUse.POWER);
        if (ofPower) {
            return plug.socket().port().use() == PortUse.POWER;
        }
        int before = 0;
        for (var port : plug.device().profile().ports()) {
            if (port.equals(plug.socket().port())) {
                return before + plug.socket().number() <= source.get().poePorts();
            }
            before += port.join() == Join.ETHERNET ? port.count() : 0;
        }
        return false;
    }

    private Optional<Feed> feed(Device d) {
        Link link = feeding.get(d.id());
        if (link == null) {
            return Optional.empty();
        }
        Feed known = feeds.get(d.id());
        if (known != null) {
            return Optional.of(known);
        }
        if (!open.add(d.id())) {
            return Optional.empty();
        }
        Feed feed = solve(d, link);
        open.remove(d.id());
        feeds.put(d.id(), feed);
        byRun.put(link.run().id(), feed);
        given.computeIfAbsent(link.beyond(d.id()).device().id(), x -> new ArrayList<>()).add(feed);
        return Optional.of(feed);
    }

    private Feed solve(Device d, Link link) {
        PowerSource source = link.beyond(d.id()).device().profile().gives().orElse(null);
        double load = watts(d, PowerDraw::mostWatts, Feed::givenWatts);
        double idle = watts(d, PowerDraw::idleWatts, Feed::givenIdle);
        if (link.signal() == Signal.DC) {
            double volts = source == null ? 0 : source.volts().orElse(0);
            Run run = link.run();
            double ohms = dcOhms(run.metres(), run.wire(), run.clad(), run.conductors());
            return feed(
                    d,
                    link,
                    PowerOver.DC,
                    volts,
                    ohms,
                    load,
                    idle,
                    leastVolts(d),
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
                    leastVolts(d),
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

    /** Its own draw with all that it passes on; what only passes on counts its rest as its own. */
    private double watts(
            Device d, ToDoubleFunction<PowerDraw> own, ToDoubleFunction<Feed> passedOn) {
        double out = 0;
        for (Device next : behind.getOrDefault(d.id(), List.of())) {
            out += feed(next).map(passedOn::applyAsDouble).orElse(0.0);
        }
        Optional<PowerSource> source = d.profile().gives();
        boolean passes = source.filter(s -> s.volts().isPresent()).isPresent();
        double base =
                d.profile()
                        .draw()
                        .map(x -> passes ? x.idleWatts() : own.applyAsDouble(x))
                        .orElse(0.0);
        return base + out / source.map(s -> s.efficiency().orElse(EFFICIENCY)).orElse(1.0);
    }

    /** Ohm of the whole loop over a run of DC, whatever its length was. */
    public static double dcOhms(double metres, int gauge, boolean clad, int conductors) {
        return 2 * Copper.ohmsPerMetre(gauge, CELSIUS, clad) * metres / conductors;
    }

    /** Ohm of the whole loop over a run of power over Ethernet, with its connectors. */
    public static double poeOhms(double metres, int gauge, boolean clad, int pairs) {
        double copper = Copper.ohmsPerMetre(gauge, CELSIUS, clad);
        return PoeRun.ohms(metres, copper, pairs, PoeRun.CONNECTORS);
    }

    private static double poeOhms(Run run, int pairs) {
        return poeOhms(run.metres(), run.wire(), run.clad(), pairs);
    }

    /** The least DC volts a device works with; 0 when its profile names none. */
    public static double leastVolts(Device d) {
        return d.profile()
                .draw()
                .map(x -> x.leastVolts().orElse(x.volts().orElse(0) * LEAST_SHARE))
                .orElse(0.0);
    }

    public Cabling cabling() {
        return cabling;
    }

    /** In the order of the devices. */
    public List<Feed> feeds() {
        return inOrder;
    }

    public Optional<Feed> to(DeviceId device) {
        return Optional.ofNullable(feeds.get(device));
    }

    public Optional<Feed> over(Run run) {
        return Optional.ofNullable(byRun.get(run.id()));
    }

    /** What a device gives, by its ports. */
    public List<Feed> from(DeviceId source) {
        return given.getOrDefault(source, List.of());
    }
}
