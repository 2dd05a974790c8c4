package app.jerboa.core.job.control;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.ChosenRoute;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Optics;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * The control routes of a job. The planned one of a function is the one somebody chose, else the
 * best: what works as it stands, by the controller that has the line's key, as the house likes it,
 * with the least between.
 */
public final class ControlRoutes {
    private static final Parts READS =
            Parts.of(ItemKind.SITE, ItemKind.DEVICE, ItemKind.LINE, ItemKind.ROUTE, ItemKind.MOUNT);
    private static final Set<RemoteFunction> PAINTED =
            EnumSet.of(
                    RemoteFunction.EXPOSURE,
                    RemoteFunction.PAINT,
                    RemoteFunction.TALLY,
                    RemoteFunction.TALKBACK);
    private static final Set<Sort> NETWORK_OPTIONS =
            EnumSet.of(Sort.NETWORK_ADAPTER, Sort.STUDIO_ADAPTER);
    private static final Set<Transport> OVER_THE_NETWORK = EnumSet.of(Transport.UDP, Transport.TCP);

    private final Habits habits;
    private final KitIndex kit;
    private final Ways ways;
    private final Map<Wish, ChosenRoute> chosen = new HashMap<>();

    /** By the line's id; asked for again and again by the checks. */
    private final Map<Long, Map<RemoteFunction, Optional<ControlRoute>>> planned =
            Collections.synchronizedMap(new HashMap<>());

    private record Wish(long line, RemoteFunction function) {}

    private ControlRoutes(Job job) {
        this.habits = job.site().habits();
        this.kit = KitIndex.of(job);
        this.ways = new Ways(job, kit);
        job.routes().forEach(r -> chosen.put(new Wish(r.line(), r.function()), r));
    }

    public static ControlRoutes of(Job job) {
        return job.worked(
                ControlRoutes.class, READS, ControlRoutes.class, () -> new ControlRoutes(job));
    }

    /** Best first; empty when there is none. */
    public List<ControlRoute> all(Line line, RemoteFunction function) {
        return routes(line, function, Ways.Found::all).sorted(order(line)).toList();
    }

    /** The one that counts, if any works as the plan stands. */
    public Optional<ControlRoute> planned(Line line, RemoteFunction function) {
        Map<RemoteFunction, Optional<ControlRoute>> ofLine =
                planned.computeIfAbsent(
                        line.id(),
                        id -> Collections.synchronizedMap(new EnumMap<>(RemoteFunction.class)));
        Optional<ControlRoute> known = ofLine.get(function);
        if (known == null) {
            known = ready(line, function).min(order(line));
            ofLine.put(function, known);
        }
        return known;
    }

    /**
     * Those that work as the plan stands, in no order: by a controller that has the line on a key,
     * was chosen or has no keys at all. No other can, so no other is looked at.
     */
    public Stream<ControlRoute> ready(Line line, RemoteFunction function) {
        return routes(line, function, found -> near(line, function, found))
                .filter(ControlRoute::ready);
    }

    private List<Ways.Way> near(Line line, RemoteFunction function, Ways.Found found) {
        List<Ways.Way> near = new ArrayList<>(found.keyless());
        Stream.concat(
                        line.keys().map(Line.Key::controller),
                        chosen(line, function).map(ChosenRoute::controller).stream())
                .distinct()
                .filter(d -> kit.device(d).profile().keys().isPresent())
                .forEach(d -> near.addAll(found.by(d)));
        return near;
    }

    /** A controller has a way to do that for the line's camera, keyed or not. */
    public boolean drives(DeviceId controller, Line line, RemoteFunction function) {
        return routes(line, function, found -> found.by(controller)).findAny().isPresent();
    }

    /** The choice that was noted, whether it can be or not. */
    public Optional<ChosenRoute> chosen(Line line, RemoteFunction function) {
        return Optional.ofNullable(chosen.get(new Wish(line.id(), function)));
    }

    private Stream<ControlRoute> routes(
            Line line, RemoteFunction function, Function<Ways.Found, List<Ways.Way>> which) {
        Device camera = kit.device(line.camera());
        if (function == RemoteFunction.ZOOM && !zooms(camera)) {
            return Stream.empty();
        }
        return which.apply(ways.to(camera, function)).stream()
                .filter(w -> Ways.open(w, camera.id()))
                .map(w -> route(line, camera, function, w));
    }

    /** Its lens zooms by a motor, its own or one that is fitted. */
    public boolean zooms(Device camera) {
        Optional<Optics> own = camera.profile().optics();
        boolean builtIn = own.filter(o -> o.fit() == LensFit.BUILT_IN && o.servoZoom()).isPresent();
        return builtIn
                || own.isEmpty()
                || kit.fitted(camera.id(), Sort.ZOOM_MOTOR).isPresent()
                || kit.fitted(camera.id(), Sort.LENS)
                        .flatMap(d -> d.profile().optics())
                        .filter(Optics::servoZoom)
                        .isPresent();
    }

    private ControlRoute route(Line line, Device camera, RemoteFunction function, Ways.Way way) {
        OptionalInt key = key(line, way.by().id());
        return new ControlRoute(
                function,
                way.by(),
                key,
                way.sends(),
                way.through(),
                way.answers(),
                chosen(line, function).filter(c -> same(c, way)).isPresent(),
                needs(camera, key, way));
    }

    private static boolean same(ChosenRoute c, Ways.Way way) {
        return c.controller().equals(way.by().id())
                && c.protocol().equals(way.sends().protocol().toString())
                && c.through().equals(way.through().stream().findFirst().map(Device::id));
    }

    private static OptionalInt key(Line line, DeviceId controller) {
        return line.keys()
                .filter(k -> k.controller().equals(controller))
                .mapToInt(Line.Key::number)
                .findFirst();
    }

    private Set<RouteNeed> needs(Device camera, OptionalInt key, Ways.Way way) {
        Set<RouteNeed> needs = EnumSet.noneOf(RouteNeed.class);
        Speaks end = way.answers();
        boolean network = OVER_THE_NETWORK.contains(end.over());
        add(needs, RouteNeed.OPTION, network && lacksNetwork(camera));
        add(needs, RouteNeed.KEY, way.by().profile().keys().isPresent() && key.isEmpty());
        add(
                needs,
                RouteNeed.TARGET_LIST,
                way.by().profile().sort() == Sort.KEYBOARD_CONTROLLER
                        || way.through().stream()
                                .anyMatch(d -> d.profile().sort() == Sort.RECORDER));
        add(needs, RouteNeed.FITTING, way.through().stream().anyMatch(ControlRoutes::loose));
        add(
                needs,
                RouteNeed.PORT,
                way.through().isEmpty()
                        && end.port().isPresent()
                        && way.sends().port().isPresent()
                        && !end.port().equals(way.sends().port()));
        add(needs, RouteNeed.SECRET, end.secured());
        boolean off =
                camera.profile()
                        .access()
                        .filter(a -> a.firstLogin() || !a.remoteAt().isEmpty())
                        .isPresent();
        add(needs, RouteNeed.REMOTE_ON, network && off);
        needs.addAll(carrier(end.over()));
        return Collections.unmodifiableSet(needs);
    }

    private static void add(Set<RouteNeed> needs, RouteNeed need, boolean when) {
        if (when) {
            needs.add(need);
        }
    }

    private static Set<RouteNeed> carrier(Transport over) {
        return switch (over) {
            case UDP, TCP -> Set.of();
            case RS_232 -> Set.of(RouteNeed.CHAIN);
            case RS_485 -> Set.of(RouteNeed.BUS);
            case RS_422, USB, LEAD, MULTICORE -> Set.of(RouteNeed.LEAD);
            case INFRARED -> Set.of(RouteNeed.SIGHT);
            case RADIO -> Set.of(RouteNeed.RANGE);
            case SDI -> Set.of(RouteNeed.RETURN_PICTURE);
        };
    }

    /** Between a bridge and its camera there is a short lead: one must be fitted to the other. */
    private static boolean loose(Device d) {
        return d.profile().sort() == Sort.CONTROL_BRIDGE && d.fitted().isEmpty();
    }

    /** It has no network before an option is fitted, and none is. */
    public boolean lacksNetwork(Device camera) {
        return camera.profile()
                        .network()
                        .map(Network::medium)
                        .filter(m -> m == Medium.WITH_OPTION)
                        .isPresent()
                && kit.fitted(camera.id()).stream()
                        .noneMatch(d -> NETWORK_OPTIONS.contains(d.profile().sort()));
    }

    private Comparator<ControlRoute> order(Line line) {
        boolean recorded = habits.practice(Field.PRACTICE_ACCESS).equals("through-recorder");
        String wiring = habits.practice(Field.PRACTICE_WIRING);
        return Comparator.comparing((ControlRoute r) -> !r.chosen())
                .thenComparing(r -> r.needs().contains(RouteNeed.OPTION))
                .thenComparingInt(r -> place(line, r))
                .thenComparing(r -> recorded != throughRecorder(r))
                .thenComparing(r -> !fits(wiring, r.sends().over()))
                .thenComparing(r -> r.by().profile().kind() != DeviceKind.CONTROLLER)
                .thenComparingInt(r -> r.through().size())
                .thenComparing(r -> r.sends().over())
                .thenComparing(r -> !r.answers().twoWay())
                .thenComparing(r -> r.by().id())
                .thenComparing(r -> r.sends().protocol());
    }

    /** The paint panel paints and the stick drives, where the line has both. */
    private static int place(Line line, ControlRoute r) {
        boolean painted = PAINTED.contains(r.function());
        Optional<Line.Key> first = painted ? line.paint() : line.key();
        Optional<Line.Key> second = painted ? line.key() : line.paint();
        DeviceId by = r.by().id();
        if (first.filter(k -> k.controller().equals(by)).isPresent()) {
            return 0;
        } else if (second.filter(k -> k.controller().equals(by)).isPresent()) {
            return 1;
        }
        return r.needs().contains(RouteNeed.KEY) ? 3 : 2;
    }

    private static boolean throughRecorder(ControlRoute r) {
        return r.through().stream().anyMatch(d -> d.profile().sort() == Sort.RECORDER);
    }

    private static boolean fits(String wiring, Transport over) {
        return switch (wiring) {
            case "ip" -> OVER_THE_NETWORK.contains(over);
            case "rs-232" -> over == Transport.RS_232;
            case "rs-485" -> over == Transport.RS_485;
            default -> true;
        };
    }
}
