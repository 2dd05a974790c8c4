package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/** The run that feeds each device of a job, solved; holds no job. */
final class Feeds {
    private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.RUN);

    /** What a splitter or converter passes on where its profile does not say. */
    private static final double EFFICIENCY = 0.85;

    private final List<Device> devices;
    private final Sockets sockets;

    /** Of the job before; let go once everything is solved. */
    private Optional<Feeds> before;

    private final PerDevice<Link> feeding;
    private final Map<DeviceId, List<Device>> behind;
    private final PerDevice<Feed> feeds;

    /** By their ports; the very same list while its feeds are. */
    private final PerDevice<List<Feed>> given;

    /** Where the feed of each stands among all. */
    private final PerDevice<Integer> places;

    private final Set<DeviceId> open = new HashSet<>();
    private final List<Feed> inOrder = new ArrayList<>();

    private Feeds(
            List<Device> devices,
            Sockets sockets,
            Optional<Feeds> before,
            PerDevice<Link> feeding,
            Map<DeviceId, List<Device>> behind,
            PerDevice<Feed> feeds,
            PerDevice<List<Feed>> given,
            PerDevice<Integer> places) {
        this.devices = devices;
        this.sockets = sockets;
        this.before = before;
        this.feeding = feeding;
        this.behind = behind;
        this.feeds = feeds;
        this.given = given;
        this.places = places;
    }

    /** A feed that is the same as in the job before is the very same object. */
    static Feeds of(Job job) {
        return job.workedAfter(Feeds.class, READS, Feeds.class, before -> of(job, before));
    }

    private static Feeds of(Job job, Optional<Feeds> before) {
        Sockets sockets = Sockets.of(job);
        return before.flatMap(b -> b.relaid(job.devices(), sockets))
                .orElseGet(() -> hung(job.devices(), sockets, before).solved());
    }

    private static Feeds hung(List<Device> devices, Sockets sockets, Optional<Feeds> before) {
        PerDevice<Link> feeding = PerDevice.of(devices);
        Feeds hung =
                new Feeds(
                        devices,
                        sockets,
                        before,
                        feeding,
                        new HashMap<>(),
                        feeding.empty(),
                        feeding.empty(),
                        feeding.empty());
        for (Device d : devices) {
            FeedingLink.of(d, sockets.at(d.id())).ifPresent(l -> hung.hang(d, l));
        }
        return hung;
    }

    private void hang(Device d, Link link) {
        feeding.put(d.id(), link);
        behind.computeIfAbsent(link.beyond(d.id()).device().id(), x -> new ArrayList<>()).add(d);
    }

    /**
     * The same devices over runs that lie in the same sockets: all but those at other runs, and
     * what feeds them, is solved. Empty when that is not so, or another run feeds a device now.
     */
    @SuppressWarnings("ReferenceEquality") // Lists that are the same are the very same objects.
    private Optional<Feeds> relaid(List<Device> now, Sockets others) {
        Optional<Set<DeviceId>> ends = others.since(sockets);
        if (now != devices || ends.isEmpty()) {
            return Optional.empty();
        }
        PerDevice<Link> links = feeding.copy();
        PerDevice<Feed> known = feeds.copy();
        Set<DeviceId> anew = new HashSet<>();
        for (DeviceId end : ends.get()) {
            List<Link> joined = others.at(end);
            Device d = joined.get(0).at(end).device();
            Link was = feeding.get(end);
            Link is = FeedingLink.of(d, joined).orElse(null);
            if (was == null ? is != null : is == null || !is.joinsAs(was)) {
                return Optional.empty();
            }
            links.put(end, is);
            forget(end, anew);
        }
        anew.forEach(d -> known.put(d, null));
        return Optional.of(
                new Feeds(
                                now,
                                others,
                                Optional.of(this),
                                links,
                                behind,
                                known,
                                given.copy(),
                                places)
                        .solvedAgain(anew, inOrder));
    }

    /** What it takes is passed on by whatever feeds it. */
    private void forget(DeviceId device, Set<DeviceId> anew) {
        DeviceId at = device;
        for (Link link = feeding.get(at); link != null && anew.add(at); link = feeding.get(at)) {
            at = link.beyond(at).device().id();
        }
    }

    private Feeds solved() {
        for (Device d : devices) {
            feed(d).ifPresent(f -> add(d, f));
        }
        behind.forEach((source, loads) -> given.put(source, byPort(loads)));
        before = Optional.empty();
        return this;
    }

    private void add(Device d, Feed feed) {
        places.put(d.id(), inOrder.size());
        inOrder.add(feed);
    }

    /**
     * @param anew fed devices whose feeds are to be solved
     * @param order the feeds before
     */
    private Feeds solvedAgain(Set<DeviceId> anew, List<Feed> order) {
        inOrder.addAll(order);
        Set<DeviceId> sources = new HashSet<>();
        for (DeviceId d : anew) {
            int place = places.get(d);
            Feed feed = feed(order.get(place).load()).orElseThrow();
            inOrder.set(place, feed);
            sources.add(feed.link().beyond(d).device().id());
        }
        sources.forEach(s -> given.put(s, byPort(behind.get(s))));
        before = Optional.empty();
        return this;
    }

    private Optional<Feed> feed(Device d) {
        Feed known = feeds.get(d.id());
        if (known != null) {
            return Optional.of(known);
        }
        Link link = feeding.get(d.id());
        if (link == null) {
            return Optional.empty();
        }
        if (!open.add(d.id())) {
            return Optional.empty();
        }
        Feed feed = solve(d, link);
        open.remove(d.id());
        feeds.put(d.id(), feed);
        return Optional.of(feed);
    }

    private Feed solve(Device d, Link link) {
        PowerSource source = link.beyond(d.id()).device().profile().gives().orElse(null);
        double load = watts(d, PowerDraw::mostWatts, Feed::givenWatts);
        double idle = watts(d, PowerDraw::idleWatts, Feed::givenIdle);
        Optional<Feed> was = before.flatMap(b -> b.to(d.id())).filter(f -> f.is(link, load, idle));
        return was.orElseGet(() -> SolvedFeed.of(d, link, source, load, idle));
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

    /** In the order of the devices. */
    List<Feed> all() {
        return inOrder;
    }

    Optional<Feed> to(DeviceId device) {
        return Optional.ofNullable(feeds.get(device));
    }

    Optional<Feed> over(Run run) {
        return Stream.of(run.from(), run.to())
                .map(end -> feeds.get(end.device()))
                .filter(f -> f != null && f.link().run().id() == run.id())
                .findFirst();
    }

    private List<Feed> byPort(List<Device> loads) {
        return loads.stream()
                .map(d -> feeds.get(d.id()))
                .sorted(Comparator.comparingInt(f -> f.port().socket().number()))
                .toList();
    }

    /** What a device gives, by its ports; the very same list while it is the same. */
    List<Feed> from(DeviceId source) {
        List<Feed> all = given.get(source);
        return all == null ? List.of() : all;
    }
}
