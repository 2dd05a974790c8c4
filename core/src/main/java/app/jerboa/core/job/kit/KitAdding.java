package app.jerboa.core.job.kit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Numbering;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Move;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * New devices with their names, and for cameras their lines with control IDs and keys; addresses as
 * the planner gives them, without moving a device that is there.
 */
public final class KitAdding {
    /** Of one profile at once; more is a slip of the pen. */
    public static final int MOST = 100;

    private static final int HIGHEST_ID = 255;
    private static final int HIGHEST_LINE = 999;

    /**
     * One device to be added.
     *
     * @param given texts that are known already; a name that is not given is made
     */
    public record Wanted(Profile profile, Map<Field, String> given) {}

    private record Controller(DeviceId id, Profile profile) {}

    private final Job job;
    private final long next;
    private final Set<String> names;
    private final Set<String> addresses;
    private final Map<DeviceId, Set<Integer>> usedKeys = new HashMap<>();
    private final List<Controller> controllers = new ArrayList<>();
    private final Map<String, List<Controller>> drivers = new HashMap<>();
    private final Map<String, Set<Integer>> usedIds = new HashMap<>();
    private final List<Item> adds = new ArrayList<>();
    private int lastLine;

    private KitAdding(Job job, long next) {
        this.job = job;
        this.next = next;
        this.names = job.devices().stream().map(Device::name).collect(Collectors.toSet());
        this.addresses =
                job.devices().stream()
                        .flatMap(d -> d.address().stream())
                        .map(Ipv4::toString)
                        .collect(Collectors.toSet());
        this.lastLine = job.lines().stream().mapToInt(Line::number).max().orElse(0);
        Map<DeviceId, Profile> profiles =
                job.devices().stream().collect(Collectors.toMap(Device::id, Device::profile));
        job.devices().forEach(d -> controller(d.id(), d.profile()));
        for (Line line : job.lines()) {
            line.key().ifPresent(k -> keysOf(k.controller()).add(k.number()));
            idsOf(profiles.get(line.camera())).add(line.controlId());
        }
    }

    /**
     * "How many of what".
     *
     * @param count 1 to {@value #MOST}
     * @param next the first free item number of the job
     */
    public static ChangeSet of(JobEditor editor, Job job, Profile profile, int count, long next) {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("count is 1 to " + MOST + ", got " + count);
        }
        return of(editor, job, Collections.nCopies(count, new Wanted(profile, Map.of())), next);
    }

    /** One device each; controllers before cameras, so that these find their keys. */
    public static ChangeSet of(JobEditor editor, Job job, List<Wanted> wanted, long next) {
        KitAdding adding = new KitAdding(job, next);
        wanted.forEach(
                w -> Optional.ofNullable(w.given().get(Field.NAME)).ifPresent(adding.names::add));
        wanted.stream().filter(w -> !isCamera(w)).forEach(adding::one);
        wanted.stream().filter(KitAdding::isCamera).forEach(adding::one);
        return adding.addressed(editor);
    }

    private static boolean isCamera(Wanted wanted) {
        return wanted.profile().kind() == DeviceKind.CAMERA;
    }

    private void controller(DeviceId id, Profile profile) {
        if (profile.keys().isPresent()) {
            controllers.add(new Controller(id, profile));
        }
    }

    private Set<Integer> keysOf(DeviceId controller) {
        return usedKeys.computeIfAbsent(controller, c -> new HashSet<>());
    }

    private Set<Integer> idsOf(Profile camera) {
        return usedIds.computeIfAbsent(camera.sort().toString(), s -> new HashSet<>());
    }

    private void one(Wanted wanted) {
        Profile profile = wanted.profile();
        boolean camera = isCamera(wanted) && lastLine < HIGHEST_LINE;
        String name =
                Optional.ofNullable(wanted.given().get(Field.NAME))
                        .orElseGet(() -> camera ? lineName(lastLine + 1) : name(profile));
        Map<Field, String> values = device(profile, name);
        values.putAll(wanted.given());
        long device = add(ItemKind.DEVICE, values);
        controller(new DeviceId(device), profile);
        if (camera) {
            lastLine++;
            add(ItemKind.LINE, line(profile, lastLine, device));
        }
    }

    private long add(ItemKind kind, Map<Field, String> values) {
        long id = next + adds.size();
        adds.add(new Item(new ItemRef(kind, id), values));
        Optional.ofNullable(values.get(Field.ADDRESS)).ifPresent(addresses::add);
        return id;
    }

    private Map<Field, String> device(Profile profile, String name) {
        Subnet home = job.subnets().get(0);
        String gateway = home.gateway().toString();
        boolean router = profile.kind() == DeviceKind.ROUTER;
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NAME, name);
        values.put(Field.PROFILE, profile.id());
        values.put(Field.PREFIX, Integer.toString(home.range().prefix()));
        values.put(Field.GATEWAY, router || !profile.networked() ? "" : gateway);
        values.put(Field.ADDRESS, router && !addresses.contains(gateway) ? gateway : "");
        return values;
    }

    private String lineName(int line) {
        Numbering numbering = job.site().habits().numbering();
        int number = line;
        while (!names.add(numbering.label(number))) {
            number++;
        }
        return numbering.label(number);
    }

    /** By its kind, numbered from the second on: "IP stick", "IP stick 2". */
    private String name(Profile profile) {
        String base = profile.name().replaceFirst(",.*", "").strip();
        if (names.add(base)) {
            return base;
        }
        int number = 2;
        while (!names.add(base + " " + number)) {
            number++;
        }
        return base + " " + number;
    }

    private Map<Field, String> line(Profile profile, int number, long camera) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NUMBER, Integer.toString(number));
        values.put(Field.CAMERA, Long.toString(camera));
        values.put(Field.CONTROL_ID, Integer.toString(controlId(profile, number)));
        freeKey(profile)
                .ifPresent(
                        key -> {
                            values.put(Field.CONTROLLER, key.controller().toString());
                            values.put(Field.KEY, Integer.toString(key.number()));
                        });
        return values;
    }

    /** Its line's number where it can be, else the lowest that no other camera of the sort has. */
    private int controlId(Profile profile, int number) {
        int lowest = Math.max(1, profile.ids().map(Ids::lowest).orElse(1));
        int highest = profile.ids().map(Ids::highest).orElse(HIGHEST_ID);
        Set<Integer> used = idsOf(profile);
        int id =
                number >= lowest && number <= highest
                        ? number
                        : IntStream.rangeClosed(lowest, highest)
                                .filter(i -> !used.contains(i))
                                .findFirst()
                                .orElse(highest);
        used.add(id);
        return id;
    }

    /** The first free key of a controller that can drive it: over the network if one can. */
    private Optional<Line.Key> freeKey(Profile camera) {
        for (Controller controller : drivers.computeIfAbsent(camera.id(), c -> drivers(camera))) {
            Keys keys = controller.profile().keys().orElseThrow();
            Set<Integer> used = keysOf(controller.id());
            for (int i = 0; i < keys.count(); i++) {
                int number = keys.first() + i;
                if (used.add(number)) {
                    return Optional.of(new Line.Key(controller.id(), number));
                }
            }
        }
        return Optional.empty();
    }

    private List<Controller> drivers(Profile camera) {
        return controllers.stream()
                .filter(c -> c.profile().drives(camera).isPresent())
                .sorted(Comparator.comparing(c -> c.profile().drives(camera).orElseThrow().over()))
                .toList();
    }

    private ChangeSet addressed(JobEditor editor) {
        Job after = editor.apply(job, new ChangeSet(adds, List.of(), List.of()));
        Map<Long, Ipv4> planned =
                JobAddresses.facts(after).stream()
                        .flatMap(f -> AddressPlanner.plan(f).moves().stream())
                        .filter(m -> m.from().isEmpty() && !addresses.contains(m.to().toString()))
                        .collect(Collectors.toMap(m -> m.device().value(), Move::to));
        List<Item> full = adds.stream().map(a -> addressed(a, planned)).toList();
        return new ChangeSet(full, List.of(), List.of());
    }

    private static Item addressed(Item added, Map<Long, Ipv4> planned) {
        Ipv4 address = planned.get(added.ref().id());
        return added.ref().kind() == ItemKind.DEVICE && address != null
                ? added.with(Field.ADDRESS, address.toString())
                : added;
    }
}
