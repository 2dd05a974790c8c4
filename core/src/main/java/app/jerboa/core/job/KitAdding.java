package app.jerboa.core.job;

import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Move;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.ChangeSet;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.ItemKind;
import app.jerboa.core.value.ItemRef;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * "How many of what": new devices with their names, and for cameras their lines with control IDs
 * and keys; addresses as the planner gives them, without moving anybody who is there.
 */
public final class KitAdding {
    /** At once; more is a slip of the pen. */
    public static final int MOST = 100;

    private static final int HIGHEST_ID = 255;
    private static final int HIGHEST_LINE = 999;

    private final Job job;
    private final Profile profile;
    private final long next;
    private final Set<String> names;
    private final Map<DeviceId, Set<Integer>> usedKeys;
    private final List<Item> adds = new ArrayList<>();

    private KitAdding(Job job, Profile profile, long next) {
        this.job = job;
        this.profile = profile;
        this.next = next;
        this.names = job.devices().stream().map(Device::name).collect(Collectors.toSet());
        this.usedKeys =
                job.lines().stream()
                        .flatMap(l -> l.key().stream())
                        .collect(
                                Collectors.groupingBy(
                                        Line.Key::controller,
                                        Collectors.mapping(
                                                Line.Key::number,
                                                Collectors.toCollection(HashSet::new))));
    }

    /**
     * @param count 1 to {@value #MOST}
     * @param next the first free item number of the job
     */
    public static ChangeSet of(JobEditor editor, Job job, Profile profile, int count, long next) {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("count is 1 to " + MOST + ", got " + count);
        }
        KitAdding adding = new KitAdding(job, profile, next);
        for (int i = 0; i < count; i++) {
            adding.one();
        }
        return adding.addressed(editor);
    }

    private void one() {
        boolean camera = profile.kind() == DeviceKind.CAMERA;
        int line = 1 + job.lines().stream().mapToInt(Line::number).max().orElse(0) + lines();
        long device = add(ItemKind.DEVICE, device(camera ? name("L", line) : name()));
        if (camera && line <= HIGHEST_LINE) {
            add(ItemKind.LINE, line(line, device));
        }
    }

    private int lines() {
        return (int) adds.stream().filter(a -> a.ref().kind() == ItemKind.LINE).count();
    }

    private long add(ItemKind kind, Map<Field, String> values) {
        long id = next + adds.size();
        adds.add(new Item(new ItemRef(kind, id), values));
        return id;
    }

    private Map<Field, String> device(String name) {
        Subnet home = job.subnets().get(0);
        boolean router = profile.kind() == DeviceKind.ROUTER;
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NAME, name);
        values.put(Field.PROFILE, profile.id());
        values.put(Field.PREFIX, Integer.toString(home.range().prefix()));
        values.put(Field.GATEWAY, router ? "" : home.gateway().toString());
        values.put(Field.ADDRESS, router && free(home.gateway()) ? home.gateway().toString() : "");
        return values;
    }

    private boolean free(Ipv4 address) {
        return job.devices().stream()
                        .noneMatch(d -> d.address().filter(address::equals).isPresent())
                && adds.stream()
                        .filter(a -> a.ref().kind() == ItemKind.DEVICE)
                        .noneMatch(a -> a.text(Field.ADDRESS).equals(address.toString()));
    }

    /** By its kind, numbered from the second on: "IP stick", "IP stick 2". */
    private String name() {
        String base = profile.name().replaceFirst(",.*", "").strip();
        return names.add(base) ? base : name(base + " ", 2);
    }

    private String name(String prefix, int from) {
        int number = from;
        while (!names.add(prefix + number)) {
            number++;
        }
        return prefix + number;
    }

    private Map<Field, String> line(int number, long camera) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NUMBER, Integer.toString(number));
        values.put(Field.CAMERA, Long.toString(camera));
        values.put(Field.CONTROL_ID, Integer.toString(Math.min(HIGHEST_ID, number)));
        freeKey()
                .ifPresent(
                        key -> {
                            values.put(Field.CONTROLLER, key.controller().toString());
                            values.put(Field.KEY, Integer.toString(key.number()));
                        });
        return values;
    }

    /** The first key nobody has, of the first controller that has one left. */
    private Optional<Line.Key> freeKey() {
        for (Device controller : job.devices()) {
            Optional<Profile.Keys> keys = controller.profile().keys();
            Set<Integer> used = usedKeys.computeIfAbsent(controller.id(), c -> new HashSet<>());
            for (int i = 0; keys.isPresent() && i < keys.get().count(); i++) {
                int number = keys.get().first() + i;
                if (used.add(number)) {
                    return Optional.of(new Line.Key(controller.id(), number));
                }
            }
        }
        return Optional.empty();
    }

    private ChangeSet addressed(JobEditor editor) {
        Job after = editor.apply(job, new ChangeSet(adds, List.of(), List.of()));
        Map<Long, Ipv4> planned =
                AddressPlanner.plan(JobAddresses.facts(after)).moves().stream()
                        .filter(m -> m.from().isEmpty() && free(m.to()))
                        .collect(Collectors.toMap(m -> m.device().value(), Move::to));
        List<Item> full =
                adds.stream()
                        .map(
                                a ->
                                        a.ref().kind() == ItemKind.DEVICE
                                                        && planned.containsKey(a.ref().id())
                                                ? a.with(
                                                        Field.ADDRESS,
                                                        planned.get(a.ref().id()).toString())
                                                : a)
                        .toList();
        return new ChangeSet(full, List.of(), List.of());
    }
}
