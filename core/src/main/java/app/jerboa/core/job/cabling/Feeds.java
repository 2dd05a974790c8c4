package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.power.ConstantLoad;
import app.jerboa.core.power.PoeClass;
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

/** The run that feeds each device of a job, solved; holds no job. */
final class Feeds {
    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    /** What a splitter or converter passes on where its profile does not say. */
    private static final double EFFICIENCY = 0.85;

    private final Sockets sockets;

    /** Of the job before; let go once everything is solved. */
    private Optional<Feeds> before;

    private final Map<DeviceId, Feed> feeds = new LinkedHashMap<>();
    private final Map<DeviceId, List<Feed>> given = new HashMap<>();
    private final Map<Long, Feed> byRun = new HashMap<>();
    private final Map<DeviceId, Link> feeding = new HashMap<>();
    private final Map<DeviceId, List<Device>> behind = new HashMap<>();
    private final Set<DeviceId> open = new HashSet<>();
    private final List<Feed> inOrder = new ArrayList<>();

    private Feeds(Sockets sockets, Optional<Feeds> before) {
        this.sockets = sockets;
        this.before = before;
    }

    /** A feed that is the same as in the job before is the very same object. */
    static Feeds of(Job job) {
        return job.workedAfter(
                Feeds.class,
                READS,
                Feeds.class,
                before -> new Feeds(Sockets.of(job), before).solved(job.devices()));
    }

    private Feeds solved(List<Device> devices) {
        for (Device d : devices) {
            feedingLink(d).ifPresent(l -> hang(d, l));
        }
        for (Device d : devices) {
            feed(d).ifPresent(inOrder::add);
        }
        given.values()
                .forEach(l -> l.sort(Comparator.comparingInt(f -> f.port().socket().number())));
        before = Optional.empty();
        return this;
    }

    private void hang(Device d, Link link) {
        feeding.put(d.id(), link);
        behind.computeIfAbsent(link.beyond(d.id()).device().id(), x -> new ArrayList<>()).add(d);
    }

    /** A DC lead goes before the network port: what has both is fed by the lead. */
    private Optional<Link> feedingLink(Device d) {
        List<Link> joined = sockets.at(d.id());
        return before.filter(b -> b.sockets.at(d.id()) == joined)
                .map(b -> Optional.ofNullable(b.feeding.get(d.id())))
                .orElseGet(() -> feedingLink(d, joined));
    }

    private static Optional<Link> feedingLink(Device d, List<Link> joined) {
        Optional<Link> poe = Optional.empty();
        for (Link link : joined) {
            if (link.signal() == Signal.DC && link.load().of(d.id())) {
                return Optional.of(link);
            }
            if (poe.isEmpty() && overEthernet(d, link)) {
                poe = Optional.of(link);
            }
        }
        return poe;
    }

    private static boolean overEthernet(Device d, Link link) {
        return link.signal() == Signal.NETWORK
                && d.profile().draw().isPresent()
                && link.run().poe()
                && link.run().cable().powers()
                && PowerPlan.gives(link.beyond(d.id()))
                && !PowerPlan.gives(link.at(d.id()))
                && (asks(d) || passive(link.beyond(d.id())));
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
        Optional<Feed> was = before.flatMap(b -> b.to(d.id())).filter(f -> f.is(link, load, idle));
        return was.orElseGet(() -> solve(d, link, source, load, idle));
    }

    private static Feed solve(Device d, Link link, PowerSource source, double load, double idle) {
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

    private static double poeOhms(Run run, int pairs) {
        return PowerPlan.poeOhms(run.metres(), run.wire(), run.clad(), pairs);
    }

    /** In the order of the devices. */
    List<Feed> all() {
        return inOrder;
    }

    Optional<Feed> to(DeviceId device) {
        return Optional.ofNullable(feeds.get(device));
    }

    Optional<Feed> over(Run run) {
        return Optional.ofNullable(byRun.get(run.id()));
    }

    /** What a device gives, by its ports. */
    List<Feed> from(DeviceId source) {
        return given.getOrDefault(source, List.of());
    }
}
