package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.NewRun;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What reaches a camera that an RS-232 lead is too long for: a lead that reaches farther, the
 * network, or a serial server beside the camera.
 */
final class FartherFixes {
    private static final Map<Signal, Transport> REACHING_FARTHER =
            new EnumMap<>(Map.of(Signal.RS_422, Transport.RS_422, Signal.RS_485, Transport.RS_485));
    private static final Set<Transport> NETWORK = EnumSet.of(Transport.UDP, Transport.TCP);

    /** The plainest serial server of the shelf, and its RS-232 socket. */
    private static final String SERVER = "serial-server-1";

    private static final String SERVER_SOCKET = "SERIAL";

    /** What a serial server takes in over the network to give out as RS-232. */
    private static final Set<Protocol> INTO_A_SERVER =
            EnumSet.of(Protocol.VISCA_TCP, Protocol.VISCA_UDP);

    /** From a server to the camera beside it, in metres. */
    private static final double BESIDE = 3;

    private final CablingPlan plan;
    private final ControlRoutes routes;
    private final ChainOrBus chain;
    private final Link link;
    private final List<Line> beyond;

    private FartherFixes(CablingPlan plan, ChainOrBus chain, Link link) {
        this.plan = plan;
        this.routes = ControlRoutes.of(plan.job());
        this.chain = chain;
        this.link = link;
        this.beyond =
                fromHere()
                        .map(l -> l.load().device().id())
                        .flatMap(c -> plan.cabling().line(c).stream())
                        .toList();
    }

    /** Best first; empty where neither end can do anything else. */
    static List<Fix> of(CablingPlan plan, ChainOrBus chain, Link link) {
        FartherFixes fixes = new FartherFixes(plan, chain, link);
        return Stream.of(fixes.otherLead(), fixes.network(), fixes.server())
                .flatMap(Optional::stream)
                .toList();
    }

    /** The lead and those that hang behind it. */
    private Stream<Link> fromHere() {
        return chain.links().stream().skip(chain.links().indexOf(link));
    }

    private boolean last() {
        return fromHere().count() == 1;
    }

    private Optional<Fix> otherLead() {
        if (!last()) {
            return Optional.empty();
        }
        return REACHING_FARTHER.entrySet().stream()
                .filter(e -> understood(e.getValue()))
                .flatMap(e -> lead(e.getKey()).stream())
                .findFirst();
    }

    /** One sends over it what the other answers to. */
    private boolean understood(Transport over) {
        return spoken(link.source().device(), over, true)
                .anyMatch(p -> spoken(link.load().device(), over, false).anyMatch(p::equals));
    }

    private static Stream<Protocol> spoken(Device device, Transport over, boolean sends) {
        return device.profile().speaks().stream()
                .filter(s -> s.over() == over && s.sends() == sends)
                .map(Speaks::protocol);
    }

    private Optional<Fix> lead(Signal signal) {
        Optional<Link.Plug> from = free(link.source().device().id(), signal);
        Optional<Link.Plug> to = free(link.load().device().id(), signal);
        if (from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        Item lead = NewRun.of(-1, from.get(), to.get(), link.run().metres());
        return Optional.of(
                new Fix(
                        signal.toString(),
                        new ChangeSet(
                                List.of(lead), List.of(), List.of(JobItems.item(link.run())))));
    }

    private Optional<Link.Plug> free(DeviceId device, Signal signal) {
        return plan.cabling().free(device).filter(p -> p.socket().signal() == signal).findFirst();
    }

    /** Every camera from here on can be driven over the network instead, and no lead is needed. */
    private Optional<Fix> network() {
        Map<Line, List<ControlRoute>> instead = new LinkedHashMap<>();
        for (Line line : beyond) {
            List<ControlRoute> over = new ArrayList<>();
            for (ControlRoute serial : serial(line)) {
                Optional<ControlRoute> other =
                        routes.all(line, serial.function()).stream()
                                .filter(ControlRoute::ready)
                                .filter(r -> NETWORK.contains(r.answers().over()))
                                .findFirst();
                if (other.isEmpty()) {
                    return Optional.empty();
                }
                over.add(other.get());
            }
            instead.put(line, over);
        }
        if (instead.values().stream().allMatch(List::isEmpty)) {
            return Optional.empty();
        }
        List<Item> adds = new ArrayList<>();
        List<Item> removes = new ArrayList<>();
        fromHere().map(l -> JobItems.item(l.run())).forEach(removes::add);
        instead.forEach(
                (line, all) -> {
                    for (ControlRoute r : all) {
                        Optional<DeviceId> through =
                                r.through().stream().map(Device::id).findFirst();
                        choose(
                                line,
                                r,
                                r.sends().protocol(),
                                through.map(DeviceId::toString).orElse(""),
                                -1L - adds.size(),
                                adds,
                                removes);
                    }
                });
        return Optional.of(new Fix("by-network", new ChangeSet(adds, List.of(), removes)));
    }

    /** What is planned over an RS-232 lead. */
    private List<ControlRoute> serial(Line line) {
        return Wanted.ALL.stream()
                .flatMap(f -> routes.planned(line, f).stream())
                .filter(r -> r.answers().over() == Transport.RS_232)
                .toList();
    }

    private Optional<Fix> server() {
        Device driver = link.source().device();
        Optional<Speaks> sends =
                driver.profile().speaks().stream()
                        .filter(s -> s.sends() && INTO_A_SERVER.contains(s.protocol()))
                        .findFirst();
        boolean first = chain.links().indexOf(link) == 0;
        if (sends.isEmpty() || !first) {
            return Optional.empty();
        }
        List<Item> adds = new ArrayList<>();
        List<Item> removes = new ArrayList<>(List.of(JobItems.item(link.run())));
        adds.add(
                new Item(
                        new ItemRef(ItemKind.DEVICE, -1),
                        Map.of(
                                Field.NAME,
                                "Serial server " + link.load().device().name(),
                                Field.PROFILE,
                                SERVER)));
        adds.add(
                new Item(
                        new ItemRef(ItemKind.RUN, -2),
                        Map.of(
                                Field.RUN_FROM, "-1",
                                Field.FROM_PORT, SERVER_SOCKET,
                                Field.RUN_TO, link.load().device().id().toString(),
                                Field.TO_PORT, link.load().socket().name(),
                                Field.CABLE, Signal.RS_232.cables().get(0).toString(),
                                Field.METRES, Lengths.text(BESIDE))));
        for (Line line : beyond) {
            for (ControlRoute r : serial(line)) {
                if (sends.get().carries().contains(r.function())
                        && r.by().id().equals(driver.id())) {
                    choose(line, r, sends.get().protocol(), "-1", -1L - adds.size(), adds, removes);
                }
            }
        }
        return Optional.of(new Fix("serial-server", new ChangeSet(adds, List.of(), removes)));
    }

    /** The route instead of whatever was chosen for its function. */
    private void choose(
            Line line,
            ControlRoute route,
            Protocol protocol,
            String through,
            long id,
            List<Item> adds,
            List<Item> removes) {
        RemoteFunction function = route.function();
        routes.chosen(line, function).map(JobItems::item).ifPresent(removes::add);
        adds.add(
                new Item(
                        new ItemRef(ItemKind.ROUTE, id),
                        Map.of(
                                Field.ROUTE_LINE, Long.toString(line.id()),
                                Field.ROUTE_FUNCTION, function.toString(),
                                Field.ROUTE_BY, route.by().id().toString(),
                                Field.ROUTE_PROTOCOL, protocol.toString(),
                                Field.ROUTE_VIA, through)));
    }
}
