package app.jerboa.core.job.proof;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.Steering;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The planned facts that observations of a device rest on, by value, as the plan is now. */
public final class BasisFacts {
    private static final List<Field> SERIAL =
            List.of(Field.BAUD, Field.FRAMING, Field.SERIAL_PROTOCOL, Field.TERMINATOR);
    private static final Set<Signal> PICTURE =
            EnumSet.of(
                    Signal.SDI,
                    Signal.HDMI,
                    Signal.COMPOSITE,
                    Signal.USB,
                    Signal.MULTICORE,
                    Signal.FIBRE);
    private static final List<Field> RUN =
            List.of(
                    Field.RUN_FROM,
                    Field.FROM_PORT,
                    Field.FROM_PINS,
                    Field.RUN_TO,
                    Field.TO_PORT,
                    Field.TO_PINS,
                    Field.CABLE,
                    Field.POE_ON);

    private final Job job;
    private final Cabling cabling;
    private final ControlRoutes routes;
    private final Map<DeviceId, Map<Basis, SortedMap<String, String>>> known = new HashMap<>();

    private BasisFacts(Job job) {
        this.job = job;
        this.cabling = Cabling.of(job);
        this.routes = ControlRoutes.of(job);
    }

    public static BasisFacts of(Job job) {
        return job.worked(BasisFacts.class, () -> new BasisFacts(job));
    }

    /** Empty for a device that is not in the job. */
    public synchronized SortedMap<String, String> of(DeviceId id, Topic topic) {
        return known.computeIfAbsent(id, d -> new EnumMap<>(Basis.class))
                .computeIfAbsent(topic.basis(), b -> facts(id, b));
    }

    /** The devices whose mishaps touch what is known of a device. */
    List<DeviceId> concerned(DeviceId id, Topic topic) {
        return switch (topic.basis()) {
            case KEY -> with(id, cabling.line(id).flatMap(Line::key).map(Line.Key::controller));
            case INPUT, TALLY ->
                    with(id, cabling.line(id).flatMap(Line::input).map(Line.Input::switcher));
            case NETWORK, LEAD, SERIAL, CONTROL, MOTION, PICTURE, STREAM, BALANCE, NOTHING ->
                    List.of(id);
        };
    }

    private static List<DeviceId> with(DeviceId id, Optional<DeviceId> other) {
        return other.map(o -> List.of(id, o)).orElse(List.of(id));
    }

    private SortedMap<String, String> facts(DeviceId id, Basis basis) {
        SortedMap<String, String> facts = new TreeMap<>();
        job.device(id).ifPresent(d -> gather(d, basis, facts));
        return Collections.unmodifiableSortedMap(facts);
    }

    private void gather(Device d, Basis basis, Map<String, String> facts) {
        switch (basis) {
            case NETWORK -> network(d, facts);
            case LEAD -> runs(d.id(), s -> s == Signal.NETWORK, facts);
            case SERIAL -> serial(d, facts);
            case CONTROL -> control(d, facts);
            case KEY -> key(d, facts);
            case MOTION -> motion(d, facts);
            case PICTURE -> picture(d, facts);
            case TALLY -> {
                route(d, RemoteFunction.TALLY, facts);
                input(d, facts);
            }
            case INPUT -> {
                facts.put("format", d.format());
                runs(d.id(), PICTURE::contains, facts);
                input(d, facts);
            }
            case STREAM -> stream(d, facts);
            case BALANCE -> {
                facts.put("profile", d.profile().id());
                facts.put("fitted", fitted(d));
                mount(d).map(m -> JobItems.text(m, Field.PLATE_TRAVEL))
                        .ifPresent(plate -> facts.put("plate", plate));
            }
            case NOTHING -> facts.clear();
        }
    }

    /** The texts of its fields, so that what was stored before can be compared too. */
    private static void network(Device d, Map<String, String> facts) {
        for (Field f :
                List.of(Field.PROFILE, Field.ADDRESS, Field.PREFIX, Field.GATEWAY, Field.MAC)) {
            facts.put(f.wire(), JobItems.text(d, f));
        }
    }

    private void serial(Device d, Map<String, String> facts) {
        facts.put("profile", d.profile().id());
        cabling.line(d.id()).ifPresent(l -> facts.put("id", Integer.toString(l.controlId())));
        SERIAL.forEach(f -> facts.put(f.wire(), JobItems.text(d, f)));
        runs(d.id(), Signal::serial, facts);
    }

    /** What stands between counts by what it is, not by its address. */
    private void control(Device d, Map<String, String> facts) {
        facts.put("profile", d.profile().id());
        facts.put("address", JobItems.text(d, Field.ADDRESS));
        DeskWay way = DeskWays.of(job).told(d);
        if (way instanceof DeskWay.OverNetwork it) {
            facts.put("at", it.address() + " " + it.port() + " " + it.protocol());
        } else if (overLead(way)) {
            serial(d, facts);
        }
    }

    /** A port of this machine may take the place of a server, and no plan knows of it. */
    private static boolean overLead(DeskWay way) {
        return way instanceof DeskWay.OverLine
                || way instanceof DeskWay.None none && none.why() == DeskWay.Why.NO_SERVER;
    }

    private void key(Device d, Map<String, String> facts) {
        facts.put("profile", d.profile().id());
        facts.put("address", JobItems.text(d, Field.ADDRESS));
        cabling.line(d.id())
                .ifPresent(
                        l -> {
                            facts.put("id", Integer.toString(l.controlId()));
                            l.key().ifPresent(k -> key(k, facts));
                        });
        route(d, RemoteFunction.PAN_TILT, facts);
    }

    private void key(Line.Key key, Map<String, String> facts) {
        facts.put("controller", key.controller().toString());
        facts.put("key", Integer.toString(key.number()));
        job.device(key.controller())
                .ifPresent(
                        c -> {
                            facts.put("controller profile", c.profile().id());
                            facts.put("controller address", JobItems.text(c, Field.ADDRESS));
                        });
    }

    private void motion(Device d, Map<String, String> facts) {
        facts.put("profile", d.profile().id());
        facts.put("fitted", fitted(d));
        turned(d.steering(), facts);
        mount(d).ifPresent(
                        m -> {
                            facts.put("place", m.place());
                            facts.put("inverted", Boolean.toString(m.inverted()));
                        });
    }

    /**
     * Left out where nothing is turned: what was seen before there was such a fact rests on that.
     */
    private static void turned(Steering steering, Map<String, String> facts) {
        if (steering.panRound()) {
            facts.put("pan turned", "round");
        }
        if (steering.tiltRound()) {
            facts.put("tilt turned", "round");
        }
    }

    private void picture(Device d, Map<String, String> facts) {
        facts.put("profile", d.profile().id());
        facts.put("fitted", fitted(d));
        facts.put("format", d.format());
        route(d, RemoteFunction.PAINT, facts);
    }

    private void stream(Device d, Map<String, String> facts) {
        facts.put("address", JobItems.text(d, Field.ADDRESS));
        facts.put("format", d.format());
        d.profile()
                .video()
                .ifPresent(
                        v -> {
                            facts.put("path", v.streamPath());
                            facts.put("codecs", v.codecs().toString());
                        });
    }

    private void input(Device d, Map<String, String> facts) {
        cabling.line(d.id())
                .flatMap(Line::input)
                .ifPresent(
                        i -> {
                            facts.put("switcher", i.switcher().toString());
                            facts.put("input", Integer.toString(i.number()));
                        });
    }

    private void route(Device d, RemoteFunction function, Map<String, String> facts) {
        cabling.line(d.id())
                .flatMap(l -> routes.planned(l, function))
                .ifPresent(r -> facts.put("route", words(r)));
    }

    private static String words(ControlRoute r) {
        return Stream.concat(
                        Stream.of(
                                r.by().id().toString(),
                                r.sends().protocol().toString(),
                                r.answers().port().toString()),
                        r.through().stream().map(t -> t.id().toString()))
                .collect(Collectors.joining(" "));
    }

    private String fitted(Device d) {
        return cabling.kit().fitted(d.id()).stream()
                .map(f -> f.profile().id())
                .sorted()
                .collect(Collectors.joining(" "));
    }

    private Optional<Mount> mount(Device d) {
        return cabling.kit().mount(d.id());
    }

    /** Runs by where they go and how they are made: one that is drawn again so is the same. */
    private void runs(DeviceId id, Predicate<Signal> signal, Map<String, String> facts) {
        facts.put(
                "run",
                cabling.at(id).stream()
                        .filter(l -> signal.test(l.signal()))
                        .map(l -> words(l.run()))
                        .sorted()
                        .collect(Collectors.joining("; ")));
    }

    private static String words(Run run) {
        return RUN.stream().map(f -> JobItems.text(run, f)).collect(Collectors.joining(" "));
    }
}
