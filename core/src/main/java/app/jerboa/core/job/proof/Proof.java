package app.jerboa.core.job.proof;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.value.DeviceId;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeSet;

/** A plan and what was observed, read together: how every test stands. */
public final class Proof {
    private static final List<Topic> WITHOUT_LINE = List.of(Topic.LINK, Topic.ADDRESS);

    private final Job job;
    private final Observed observed;
    private final BasisFacts basis;
    private final Applies applies;
    private final Applies.Needed needed;
    private final Cabling cabling;

    private Proof(Job job, Observed observed) {
        this.job = job;
        this.observed = observed;
        this.basis = BasisFacts.of(job);
        this.applies = new Applies(job);
        this.needed = Applies.Needed.of(job);
        this.cabling = Cabling.of(job);
    }

    public static Proof of(Job job, Observed observed) {
        return new Proof(job, observed);
    }

    public Job job() {
        return job;
    }

    public Observed observed() {
        return observed;
    }

    /** Every test of a line, in their order. */
    public Map<Topic, Standing> tests(Line line) {
        Map<Topic, Standing> all = new EnumMap<>(Topic.class);
        for (Topic test : Topic.TESTS) {
            all.put(
                    test,
                    applies.not(line, test)
                            .map(
                                    why ->
                                            new Standing(
                                                    Standing.State.NOT_APPLICABLE,
                                                    Optional.empty(),
                                                    List.of(why)))
                            .orElseGet(() -> standing(line.camera(), test)));
        }
        return all;
    }

    /** Of one topic of one device, whether it is a test of a line or not. */
    public Standing standing(DeviceId device, Topic topic) {
        return observed.deciding(device, topic)
                .map(o -> standing(device, o))
                .orElseGet(Standing::open);
    }

    private Standing standing(DeviceId device, Observation o) {
        List<String> why = stale(device, o);
        return new Standing(
                why.isEmpty() ? Standing.of(o) : Standing.State.STALE, Optional.of(o), why);
    }

    /** What makes it stale: what happened since, else the planned facts that are others now. */
    private List<String> stale(DeviceId device, Observation o) {
        Optional<String> happened =
                basis.concerned(device, o.topic()).stream()
                        .flatMap(d -> observed.happened(d).stream())
                        .filter(h -> h.number() > o.number())
                        .map(Observation::value)
                        .findFirst();
        if (happened.isPresent()) {
            return List.of(happened.get());
        }
        SortedMap<String, String> now = basis.of(device, o.topic());
        return now.equals(o.basis()) ? List.of() : changed(o.basis(), now);
    }

    /** A fact that is blank is as good as one that is not there. */
    private static List<String> changed(Map<String, String> before, Map<String, String> now) {
        Set<String> names = new TreeSet<>(before.keySet());
        names.addAll(now.keySet());
        return names.stream()
                .filter(n -> !before.getOrDefault(n, "").equals(now.getOrDefault(n, "")))
                .toList();
    }

    /** The basis that an observation made now would have. */
    public SortedMap<String, String> basis(DeviceId device, Topic topic) {
        return basis.of(device, topic);
    }

    /** Every topic of a device of which something is known that decides. */
    Map<Topic, Standing> known(DeviceId device) {
        if (!observed.knows(device)) {
            return Map.of();
        }
        Map<Topic, Standing> known = new EnumMap<>(Topic.class);
        for (Topic topic : Topic.values()) {
            observed.deciding(device, topic).ifPresent(o -> known.put(topic, standing(device, o)));
        }
        return known;
    }

    /**
     * How far a device is.
     *
     * @param stopped a finding stops it that nobody accepted
     * @param waived somebody accepted one
     */
    public Mark mark(Device device, boolean stopped, boolean waived) {
        Map<Topic, Standing> known = known(device.id());
        boolean elsewhere = device.found().isPresent() && !device.set();
        if (elsewhere || known.values().stream().anyMatch(Standing::wrong)) {
            return Mark.DIFFERS;
        }
        if (known.values().stream().anyMatch(s -> s.state() == Standing.State.STALE)) {
            return Mark.STALE;
        }
        if (proved(device)) {
            return Mark.PROVED;
        }
        if (device.set() || controlled(device, known)) {
            return Mark.SET;
        }
        if (stopped) {
            return Mark.STOPPED;
        }
        return waived ? Mark.WAIVED : Mark.PLANNED;
    }

    /** What has no address is set up once it answers over its control route. */
    private static boolean controlled(Device device, Map<Topic, Standing> known) {
        return device.address().isEmpty()
                && Optional.ofNullable(known.get(Topic.CONTROL))
                        .filter(Standing::proves)
                        .isPresent();
    }

    /** Of what nothing was seen nothing is proved. */
    private boolean proved(Device device) {
        if (!observed.knows(device.id())) {
            return false;
        }
        Optional<Line> line = cabling.line(device.id());
        if (line.isPresent()) {
            Count count = count(line.get());
            return count.needed() > 0 && count.proved() == count.needed();
        }
        return device.addressed()
                && WITHOUT_LINE.stream().allMatch(t -> standing(device.id(), t).proves());
    }

    /** How many tests a line needs, and how many of them prove it. */
    public record Count(int proved, int needed) {}

    public Count count(Line line) {
        int proved =
                isUnseen(line)
                        ? 0
                        : (int) tests(line).values().stream().filter(Standing::proves).count();
        return new Count(proved, needed.by(line));
    }

    /** Nothing was observed of its camera: none of its tests is proved. */
    public boolean isUnseen(Line line) {
        return !observed.knows(line.camera());
    }

    /** Names how many tests each line needs: the very same object where that is the same. */
    public Object needs() {
        return needed;
    }
}
