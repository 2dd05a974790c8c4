package app.jerboa.core.job.proof;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The order in which what is open needs the fewest walks: first what a machine asks, then what is
 * seen from the desk, then each place once: controllers, switchers, network switches, and in the
 * end the cameras, which hang highest.
 */
public final class LeastWork {
    /** Where somebody must be for a test. */
    public enum Where {
        MACHINE,
        /** In front of this page, with the picture. */
        DESK,
        CONTROLLER,
        SWITCHER,
        NETWORK_SWITCH,
        CAMERA
    }

    /** From one place to the next, by what is usual. */
    private static final int WALK_SECONDS = 60;

    /** What is overhead needs a ladder, and somebody who holds it. */
    private static final int LADDER_SECONDS = 240;

    /** What drives the head for its test. */
    private static final Set<Topic> DRIVEN =
            EnumSet.of(
                    Topic.MOVES,
                    Topic.DIRECTION,
                    Topic.ZOOM,
                    Topic.FOCUS,
                    Topic.STOP,
                    Topic.PRESET);

    /** One test of one line. */
    public record Left(Line line, Topic test) {}

    /**
     * All that is done at one place.
     *
     * @param at the device that somebody stands at; empty for a machine and for the desk
     * @param ladder it hangs overhead
     * @param tests in the order of lines
     * @param seconds with the walk there
     */
    public record Visit(
            Where where, Optional<DeviceId> at, boolean ladder, List<Left> tests, int seconds) {
        public Visit {
            tests = List.copyOf(tests);
        }
    }

    /** Places in the order of their visits. */
    private record Place(Where where, long device) implements Comparable<Place> {
        private static final Comparator<Place> ORDER =
                Comparator.comparing(Place::where).thenComparing(Place::device);

        @Override
        public int compareTo(Place other) {
            return ORDER.compare(this, other);
        }

        Optional<DeviceId> at() {
            return device == 0 ? Optional.empty() : Optional.of(new DeviceId(device));
        }
    }

    private final Job job;
    private final DeskWays ways;
    private final Set<Topic> byMachine;
    private final TestTimes times;
    private final Map<DeviceId, Long> switches;
    private final Set<Long> overhead;

    private LeastWork(Job job, DeskWays ways, TestTimes times, Collection<Topic> byMachine) {
        this.job = job;
        this.times = times;
        this.ways = ways;
        this.byMachine = Set.copyOf(byMachine);
        this.switches = switches(job);
        this.overhead =
                job.mounts().stream()
                        .filter(Mount::overhead)
                        .map(m -> m.camera().value())
                        .collect(Collectors.toSet());
    }

    /**
     * @param ways to the heads from the desk
     * @param byMachine what a machine can do
     */
    public static List<Visit> of(Proof proof, DeskWays ways, Collection<Topic> byMachine) {
        LeastWork work =
                new LeastWork(proof.job(), ways, TestTimes.of(proof.observed()), byMachine);
        Map<Place, List<Left>> places = new TreeMap<>();
        for (Line line : proof.job().lines()) {
            proof.tests(line)
                    .forEach(
                            (test, standing) -> {
                                if (isLeft(standing)) {
                                    places.computeIfAbsent(
                                                    work.place(line, test, standing),
                                                    p -> new ArrayList<>())
                                            .add(new Left(line, test));
                                }
                            });
        }
        return places.entrySet().stream().map(e -> work.visit(e.getKey(), e.getValue())).toList();
    }

    private static boolean isLeft(Standing standing) {
        return !standing.proves() && standing.state() != Standing.State.NOT_APPLICABLE;
    }

    private Place place(Line line, Topic test, Standing standing) {
        boolean driven = DRIVEN.contains(test) && !reached(line);
        // What it could not tell it cannot tell the next time either.
        boolean asked = byMachine.contains(test) && standing.state() != Standing.State.CANNOT_TELL;
        if (asked && !driven) {
            return new Place(Where.MACHINE, 0);
        }
        return switch (test) {
            case KEY -> controller(line);
            case INPUT ->
                    line.input()
                            .map(i -> new Place(Where.SWITCHER, i.switcher().value()))
                            .orElseGet(() -> camera(line));
            case TALLY -> camera(line);
            case LINK ->
                    Optional.ofNullable(switches.get(line.camera()))
                            .map(d -> new Place(Where.NETWORK_SWITCH, d))
                            .orElseGet(() -> camera(line));
            default -> driven ? controller(line) : new Place(Where.DESK, 0);
        };
    }

    /** Its head can be driven from the desk. */
    private boolean reached(Line line) {
        return job.device(line.camera()).filter(d -> ways.to(d).leads()).isPresent();
    }

    /** Where its stick is; at the camera itself where it has none. */
    private static Place controller(Line line) {
        return line.key()
                .map(k -> new Place(Where.CONTROLLER, k.controller().value()))
                .orElseGet(() -> camera(line));
    }

    private static Place camera(Line line) {
        return new Place(Where.CAMERA, line.camera().value());
    }

    /** By camera, the network switch at the other end of one of its runs. */
    private static Map<DeviceId, Long> switches(Job job) {
        Map<DeviceId, Long> all = new HashMap<>();
        for (Run run : job.runs()) {
            note(job, run.from().device(), run.to().device(), all);
            note(job, run.to().device(), run.from().device(), all);
        }
        return all;
    }

    private static void note(Job job, DeviceId end, DeviceId other, Map<DeviceId, Long> into) {
        job.device(other)
                .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                .ifPresent(d -> into.putIfAbsent(end, d.id().value()));
    }

    private Visit visit(Place place, List<Left> tests) {
        boolean ladder = place.where() == Where.CAMERA && overhead.contains(place.device());
        int walk =
                switch (place.where()) {
                    case MACHINE, DESK -> 0;
                    default -> ladder ? LADDER_SECONDS : WALK_SECONDS;
                };
        int each = place.where() == Where.MACHINE ? times.asked() : times.seen();
        return new Visit(place.where(), place.at(), ladder, tests, walk + each * tests.size());
    }
}
