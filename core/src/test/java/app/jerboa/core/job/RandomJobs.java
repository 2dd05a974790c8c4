package app.jerboa.core.job;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Sort;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/** Jobs and change sets by chance, the same for the same seed. */
public final class RandomJobs {
    public static final ProfileShelf SHELF =
            TestShelf.of(profile("ceiling-ptz"), profile("ip-stick-8-counting"));
    private static final String[] NAMES = {"L1", "Bühne links", "a \"quoted\" name", "=1+1", "撮影機"};

    private final Random random;
    private long next = 1;

    public RandomJobs(long seed) {
        random = new Random(seed);
    }

    private static Profile profile(String id) {
        return Profile.bare(id, id, id.startsWith("ip") ? Sort.IP_STICK : Sort.CEILING_PTZ);
    }

    public static Item item(ItemKind kind, long id, Map<Field, String> values) {
        return new Item(new ItemRef(kind, id), values);
    }

    private String address() {
        return "10.44." + random.nextInt(4) + "." + random.nextInt(256);
    }

    private Item site() {
        return item(
                ItemKind.SITE,
                next++,
                Map.of(
                        Field.SITE_NAME, name(),
                        Field.UNITS, "ft",
                        Field.NUMBERING, any("numbers", "letters", "from-zero"),
                        Field.USUAL_RUN, any("30", "24.384", "7.5"),
                        Field.POWER_HEADROOM, Integer.toString(random.nextInt(81)),
                        Field.PRACTICE_ADDRESSES, any("static", "reservation", "lease")));
    }

    private String any(String... words) {
        return words[random.nextInt(words.length)];
    }

    private String name() {
        return NAMES[random.nextInt(NAMES.length)];
    }

    private Item subnet() {
        return item(
                ItemKind.SUBNET,
                next++,
                Map.of(
                        Field.CIDR, random.nextBoolean() ? "10.44.8.0/21" : "10.44.8.0/24",
                        Field.SUBNET_GATEWAY, address(),
                        Field.LAPTOP_HOME, address()));
    }

    private Item range() {
        int first = random.nextInt(200);
        return item(
                ItemKind.RANGE,
                next++,
                Map.of(
                        Field.RANGE_USE, random.nextBoolean() ? "pool" : "taken",
                        Field.FIRST, "10.44.8." + first,
                        Field.LAST, "10.44.8." + (first + random.nextInt(50))));
    }

    private Item device() {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NAME, name());
        values.put(Field.PROFILE, random.nextBoolean() ? "ceiling-ptz" : "ip-stick-8-counting");
        values.put(Field.ADDRESS, random.nextInt(5) == 0 ? "" : address());
        values.put(Field.PREFIX, Integer.toString(8 + random.nextInt(23)));
        values.put(Field.RESERVED, Boolean.toString(random.nextBoolean()));
        values.put(Field.MAC, random.nextBoolean() ? "" : "02:4a:00:00:00:0" + random.nextInt(10));
        values.put(Field.SERIAL_NUMBER, any("", "SN-7", "0042"));
        values.put(Field.CONDITION, any("new", "rental", "second-hand"));
        values.put(Field.FORMAT_SET, any("", "1080p25", "1080p50"));
        return item(ItemKind.DEVICE, next++, values);
    }

    private Item line(List<Item> devices) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.NUMBER, Integer.toString(1 + random.nextInt(999)));
        values.put(Field.CAMERA, any(devices));
        values.put(Field.CONTROL_ID, Integer.toString(1 + random.nextInt(7)));
        if (random.nextBoolean()) {
            values.put(Field.CONTROLLER, any(devices));
            values.put(Field.KEY, Integer.toString(random.nextInt(9)));
        }
        if (random.nextBoolean()) {
            values.put(Field.SWITCHER, any(devices));
            values.put(Field.INPUT, Integer.toString(1 + random.nextInt(9)));
            values.put(Field.WANTS, any("", "zoom", "pan-tilt zoom audio"));
        }
        return item(ItemKind.LINE, next++, values);
    }

    private Item mount(List<Item> devices) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.MOUNT_CAMERA, any(devices));
        values.put(Field.PLACE, any("", "ceiling", "tripod"));
        values.put(Field.FIXING, any("", "40"));
        values.put(Field.BOND, Boolean.toString(random.nextBoolean()));
        values.put(Field.PAN_LIMIT, any("", "170"));
        return item(ItemKind.MOUNT, next++, values);
    }

    private Item preset(List<Item> devices) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.PRESET_CAMERA, any(devices));
        values.put(Field.PRESET_NUMBER, any("0", "7"));
        values.put(Field.PRESET_NAME, any("", "wide"));
        values.put(Field.KEPT_PAN, any("", "-1250"));
        values.put(Field.KEPT_KNOBS, any("", "iris=12;gain=3"));
        return item(ItemKind.PRESET, next++, values);
    }

    private Item take(Item list, List<Item> devices) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.TAKE_LIST, any(List.of(list)));
        values.put(Field.TAKE_CAMERA, any(devices));
        values.put(Field.TAKE_START, any("0", "50", "125"));
        values.put(Field.TAKE_LENGTH, any("20", "60"));
        values.put(Field.TAKE_PRESET, any("", "0", "7"));
        return item(ItemKind.TAKE, next++, values);
    }

    private Item run(List<Item> devices) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.RUN_FROM, any(devices));
        values.put(Field.FROM_PORT, any("LAN", "PORT 3"));
        values.put(Field.FROM_PINS, any("", "t568b"));
        values.put(Field.RUN_TO, any(devices));
        values.put(Field.TO_PORT, any("LAN", "SDI"));
        values.put(Field.CABLE, any("data", "coax-rg6", "dc"));
        values.put(Field.GAUGE, any("", "22"));
        values.put(Field.METRES, any("0", "30", "7.25"));
        values.put(Field.LAID, any("indoor", "outdoor"));
        values.put(Field.SUBSCRIBED, any("", "to-camera", "to-camera from-camera"));
        return item(ItemKind.RUN, next++, values);
    }

    private Item price() {
        return item(
                ItemKind.PRICE,
                next++,
                Map.of(Field.PRICED, "data AWG 24", Field.HUNDREDTHS, any("0", "120")));
    }

    private Item route(List<Item> all, List<Item> devices) {
        List<Item> lines = all.stream().filter(i -> i.ref().kind() == ItemKind.LINE).toList();
        return item(
                ItemKind.ROUTE,
                next++,
                Map.of(
                        Field.ROUTE_LINE, any(lines),
                        Field.ROUTE_FUNCTION, any("zoom", "tally"),
                        Field.ROUTE_BY, any(devices),
                        Field.ROUTE_PROTOCOL, "visca-ip",
                        Field.ROUTE_VIA, random.nextBoolean() ? any(devices) : ""));
    }

    private Item prepared(List<Item> devices) {
        return item(
                ItemKind.PREPARED,
                next++,
                Map.of(
                        Field.DONE_FOR, random.nextBoolean() ? any(devices) : "",
                        Field.DONE_PROFILE, "ceiling-ptz",
                        Field.DONE_WHAT, "firmware",
                        Field.DONE_BY, "Asha"));
    }

    private String any(List<Item> items) {
        return Long.toString(items.get(random.nextInt(items.size())).ref().id());
    }

    /** The items of a job that holds together. */
    public List<Item> items() {
        List<Item> devices = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(6); i++) {
            devices.add(device());
        }
        List<Item> all = new ArrayList<>(List.of(site(), subnet(), range()));
        all.addAll(devices);
        for (int i = 0; i < random.nextInt(5); i++) {
            all.add(line(devices));
        }
        if (random.nextBoolean()) {
            all.add(prepared(devices));
            all.add(mount(devices));
            all.add(preset(devices));
            Item list = item(ItemKind.SHOT_LIST, next++, Map.of(Field.SHOTS_NAME, "First end"));
            all.add(list);
            all.add(take(list, devices));
            all.add(take(list, devices));
            all.add(run(devices));
            all.add(price());
        }
        if (all.stream().anyMatch(i -> i.ref().kind() == ItemKind.LINE)) {
            all.add(route(all, devices));
        }
        Collections.sort(all, Comparator.comparing(Item::ref));
        return all;
    }

    /** One command of a person, which this job accepts. */
    public ChangeSet command(Job job) {
        List<Item> items = job.items().map(JobItems::item).toList();
        return switch (random.nextInt(4)) {
            case 0 -> ChangeSet.adding(device().numbered(-1)).numbered(fresh(items));
            case 1 -> removal(job, items);
            default -> ChangeSet.edits(edits(items));
        };
    }

    private static long fresh(List<Item> items) {
        return 1 + items.stream().mapToLong(i -> i.ref().id()).max().orElse(0);
    }

    /** A device with everything that points to it, or to a line of it, all at once. */
    private ChangeSet removal(Job job, List<Item> items) {
        if (job.devices().isEmpty()) {
            return ChangeSet.adding(device().numbered(fresh(items)));
        }
        String gone = job.devices().get(random.nextInt(job.devices().size())).id().toString();
        List<Item> going =
                items.stream()
                        .filter(
                                i ->
                                        i.ref().kind() == ItemKind.DEVICE
                                                ? gone.equals("" + i.ref().id())
                                                : pointsTo(i, gone))
                        .toList();
        Set<String> lines =
                going.stream()
                        .filter(i -> i.ref().kind() == ItemKind.LINE)
                        .map(i -> "" + i.ref().id())
                        .collect(Collectors.toSet());
        List<Item> all =
                items.stream()
                        .filter(
                                i ->
                                        going.contains(i)
                                                || i.ref().kind() == ItemKind.ROUTE
                                                        && lines.contains(i.text(Field.ROUTE_LINE)))
                        .toList();
        return new ChangeSet(List.of(), List.of(), all);
    }

    private static boolean pointsTo(Item item, String device) {
        return item.ref().kind().fields().stream()
                .filter(f -> f.type().target().filter(ItemKind.DEVICE::equals).isPresent())
                .anyMatch(f -> item.text(f).equals(device));
    }

    private List<Edit> edits(List<Item> items) {
        List<Item> devices = items.stream().filter(i -> i.ref().kind() == ItemKind.DEVICE).toList();
        List<Edit> edits = new ArrayList<>();
        String name = items.get(0).text(Field.SITE_NAME);
        edits.add(new Edit(items.get(0).ref(), Field.SITE_NAME, name, name()));
        if (!devices.isEmpty()) {
            Item device = devices.get(random.nextInt(devices.size()));
            String middle = address();
            String before = device.text(Field.ADDRESS);
            edits.add(new Edit(device.ref(), Field.ADDRESS, before, middle));
            edits.add(
                    new Edit(
                            device.ref(),
                            Field.ADDRESS,
                            middle,
                            random.nextBoolean() ? "" : address()));
        }
        return edits;
    }
}
