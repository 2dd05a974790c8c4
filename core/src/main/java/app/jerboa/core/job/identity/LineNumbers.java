package app.jerboa.core.job.identity;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Port;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The numbers of a job's lines side by side, and back: what to edit so that they change. A key is
 * counted from the controller's first one; an address from where the cameras' addresses start.
 */
public final class LineNumbers {
    private static final Set<Join> PICTURE_IN = EnumSet.of(Join.SDI_IN, Join.HDMI_IN);

    private final Job job;
    private final KitIndex kit;
    private final OptionalLong base;

    private LineNumbers(Job job) {
        this.job = job;
        this.kit = KitIndex.of(job);
        this.base = Base.of(job).above;
    }

    public static LineNumbers of(Job job) {
        return job.worked(LineNumbers.class, () -> new LineNumbers(job));
    }

    public List<Numbers> all() {
        return job.lines().stream().map(this::of).toList();
    }

    public Numbers of(Line line) {
        Map<Aspect, Integer> values = new EnumMap<>(Aspect.class);
        Map<Aspect, Integer> most = new EnumMap<>(Aspect.class);
        values.put(Aspect.LABEL, line.number());
        Device camera = kit.device(line.camera());
        camera.profile().ids().ifPresent(ids -> id(line, ids, values, most));
        line.key().ifPresent(k -> key(Aspect.KEY, k, values, most));
        line.paint().ifPresent(k -> key(Aspect.PAINT_KEY, k, values, most));
        line.input()
                .ifPresent(
                        i -> {
                            values.put(Aspect.INPUT, i.number());
                            most.put(Aspect.INPUT, inputs(kit.device(i.switcher())));
                        });
        line.tally().ifPresent(n -> values.put(Aspect.TALLY, n));
        address(line, camera).ifPresent(n -> values.put(Aspect.ADDRESS, n));
        values.keySet().removeIf(a -> line.number() > most.getOrDefault(a, Integer.MAX_VALUE));
        return new Numbers(line.id(), values, most);
    }

    private static void id(
            Line line, Ids ids, Map<Aspect, Integer> values, Map<Aspect, Integer> most) {
        values.put(Aspect.ID, line.controlId());
        most.put(Aspect.ID, ids.highest());
    }

    private void key(
            Aspect aspect, Line.Key key, Map<Aspect, Integer> values, Map<Aspect, Integer> most) {
        Optional<Keys> keys = kit.device(key.controller()).profile().keys();
        int first = keys.map(Keys::first).orElse(1);
        values.put(aspect, key.number() - first + 1);
        most.put(aspect, keys.map(Keys::count).orElse(Integer.MAX_VALUE));
    }

    /** How many pictures a switcher takes. */
    public static int inputs(Device switcher) {
        return switcher.profile().ports().stream()
                .filter(p -> PICTURE_IN.contains(p.join()))
                .mapToInt(Port::count)
                .sum();
    }

    /** In a counting run the key rules the address, and one that is out of it is ADDR-GAP's. */
    private Optional<Integer> address(Line line, Device camera) {
        if (base.isEmpty() || camera.address().isEmpty()) {
            return Optional.empty();
        }
        long place = camera.address().get().bits() - base.getAsLong();
        boolean counted =
                line.key()
                        .flatMap(k -> kit.device(k.controller()).profile().keys())
                        .filter(Keys::counting)
                        .isPresent();
        boolean near = place >= 1 && place <= 999;
        return near && (!counted || place == line.number())
                ? Optional.of((int) place)
                : Optional.empty();
    }

    /** What most cameras' addresses are above their numbers. */
    private record Base(OptionalLong above) {
        private static final Parts READS = Parts.of(ItemKind.DEVICE, ItemKind.LINE);

        static Base of(Job job) {
            return job.worked(Base.class, READS, Base.class, () -> new Base(voted(job)));
        }

        private static OptionalLong voted(Job job) {
            KitIndex kit = KitIndex.of(job);
            Map<Long, Long> votes =
                    job.lines().stream()
                            .filter(l -> kit.device(l.camera()).address().isPresent())
                            .collect(
                                    Collectors.groupingBy(
                                            l -> above(kit, l), Collectors.counting()));
            return votes.entrySet().stream()
                    .max(
                            Map.Entry.<Long, Long>comparingByValue()
                                    .thenComparing(
                                            Map.Entry.comparingByKey(Comparator.reverseOrder())))
                    .map(e -> OptionalLong.of(e.getKey()))
                    .orElse(OptionalLong.empty());
        }

        private static long above(KitIndex kit, Line line) {
            return kit.device(line.camera()).address().map(Ipv4::bits).orElse(0L) - line.number();
        }
    }

    /** The edits that make these changes; a name that was the label follows it. */
    public ChangeSet edits(List<Repatch.Change> changes) {
        Map<Long, Line> byId = new HashMap<>();
        job.lines().forEach(l -> byId.put(l.id(), l));
        List<Edit> edits = new ArrayList<>();
        changes.forEach(c -> edit(byId.get(c.line()), c, edits));
        return ChangeSet.edits(edits);
    }

    private void edit(Line line, Repatch.Change change, List<Edit> edits) {
        String to = Integer.toString(change.to());
        Device camera = kit.device(line.camera());
        switch (change.aspect()) {
            case LABEL -> {
                edits.add(edit(line, Field.NUMBER, line.number(), to));
                String label = job.site().habits().numbering().label(change.to());
                if (camera.name().equals(job.label(line))) {
                    edits.add(Edit.of(camera.id(), Field.NAME, camera.name(), label));
                }
            }
            case ID -> edits.add(edit(line, Field.CONTROL_ID, line.controlId(), to));
            case KEY -> edits.add(key(line, Field.KEY, line.key().orElseThrow(), change));
            case PAINT_KEY ->
                    edits.add(key(line, Field.PANEL_KEY, line.paint().orElseThrow(), change));
            case INPUT ->
                    edits.add(edit(line, Field.INPUT, line.input().orElseThrow().number(), to));
            case TALLY -> edits.add(edit(line, Field.TALLY, change.from(), ""));
            case ADDRESS -> {
                String before = camera.address().orElseThrow().toString();
                String after = new Ipv4(base.orElseThrow() + change.to()).toString();
                edits.add(Edit.of(camera.id(), Field.ADDRESS, before, after));
            }
        }
    }

    private Edit key(Line line, Field field, Line.Key key, Repatch.Change change) {
        int first = first(key.controller());
        return edit(line, field, key.number(), Integer.toString(change.to() + first - 1));
    }

    private int first(DeviceId controller) {
        return kit.device(controller).profile().keys().map(Keys::first).orElse(1);
    }

    private static Edit edit(Line line, Field field, int before, String after) {
        return new Edit(line.ref(), field, Integer.toString(before), after);
    }
}
