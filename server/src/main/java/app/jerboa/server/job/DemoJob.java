package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The demo scenario: an invented ice hall with its whole kit. Left in on purpose: L4 was typed by
 * hand onto an address that a score computer has, L6 is set to another format, two serial cameras
 * share an ID, the pictures of L5 and L6 are crossed at the switcher, the PoE switch cannot feed
 * every head at once, and the dome's 12 V run is too long for the data cable it shares.
 */
final class DemoJob {
    private static final String HOUSE = "10.44.8.";
    private static final String GATEWAY = HOUSE + "254";
    private static final List<String> CEILING = List.of("21", "22", "23", "33", "25", "26");

    private final List<Item> items = new ArrayList<>();
    private int macs = 1;

    private DemoJob() {}

    static List<Item> items() {
        DemoJob demo = new DemoJob();
        demo.items.addAll(
                EmptyJob.items(
                        "Quillhaven Curling Hall",
                        "m",
                        Ipv4Subnet.parse(HOUSE + "0/24"),
                        Ipv4.parse(GATEWAY)));
        demo.house();
        demo.kit();
        return List.copyOf(demo.items);
    }

    private void house() {
        range("pool", "100", "199", "");
        range("taken", "30", "34", "score computers");
        range("taken", "200", "200", "till");
        range("taken", "1", "1", "wireless bridge");
    }

    private void kit() {
        List<Long> cameras = cameras();
        long stick = device("IP stick", "ip-stick-8-counting", "11", Map.of());
        long serial =
                device("Serial stick", "serial-stick-7", "", Map.of(Field.TERMINATOR, "true"));
        long panel = device("Paint panel", "paint-panel-server", "12", Map.of());
        long tablet = device("Tablet", "tablet-control", "", Map.of());
        device("Game pad", "game-pad", "", Map.of());
        long switcher = between();
        for (int i = 0; i < CEILING.size(); i++) {
            int number = i + 1;
            int input = number == 5 ? 6 : number == 6 ? 5 : number;
            line(
                    number,
                    cameras.get(i),
                    number,
                    keyed(Field.CONTROLLER, stick, Field.KEY, number),
                    keyed(Field.SWITCHER, switcher, Field.INPUT, input));
        }
        line(
                7,
                cameras.get(6),
                7,
                keyed(Field.CONTROLLER, tablet, Field.KEY, 7),
                keyed(Field.SWITCHER, switcher, Field.INPUT, 7));
        line(
                8,
                cameras.get(7),
                8,
                keyed(Field.PANEL, panel, Field.PANEL_KEY, 8),
                keyed(Field.SWITCHER, switcher, Field.INPUT, 8));
        line(9, cameras.get(8), 9, keyed(Field.PANEL, panel, Field.PANEL_KEY, 9), Map.of());
        line(10, cameras.get(9), 1, keyed(Field.CONTROLLER, serial, Field.KEY, 1), Map.of());
        line(11, cameras.get(10), 2, keyed(Field.CONTROLLER, serial, Field.KEY, 2), Map.of());
        line(12, cameras.get(11), 2, keyed(Field.CONTROLLER, serial, Field.KEY, 3), Map.of());
        line(13, cameras.get(12), 13, keyed(Field.CONTROLLER, serial, Field.KEY, 4), Map.of());
        line(14, cameras.get(13), 14, keyed(Field.CONTROLLER, tablet, Field.KEY, 14), Map.of());
        fitted(cameras);
        mounts(cameras);
        runs();
    }

    /** Every run as the plan has it; what nothing carries yet is left out. */
    private void runs() {
        new DemoRuns(items, this::add).all();
    }

    private static Map<Field, String> keyed(Field device, long id, Field number, int place) {
        return Map.of(device, Long.toString(id), number, Integer.toString(place));
    }

    /** Lenses, adapters and the motor on their cameras; the gimbal's load as it was measured. */
    private void fitted(List<Long> cameras) {
        device("Servo-zoom lens", "lens-servo-zoom", "", on(cameras, 7));
        device("Network adapter 1", "network-adapter", "", on(cameras, 8));
        device("Network adapter 2", "network-adapter", "", on(cameras, 9));
        device("Manual lens", "lens-manual-zoom", "", on(cameras, 14, "62", "74", "0"));
        device("Zoom motor", "zoom-motor", "", on(cameras, 14, "48", "48", "-30"));
        device("Control bridge", "control-bridge", "5", on(cameras, 14));
    }

    private static Map<Field, String> on(List<Long> cameras, int line, String... measured) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.FITTED, cameras.get(line - 1).toString());
        List<Field> places = List.of(Field.ALONG, Field.ALONG_ZOOMED, Field.ABOVE);
        for (int i = 0; i < measured.length; i++) {
            values.put(places.get(i), measured[i]);
        }
        return values;
    }

    private void mounts(List<Long> cameras) {
        for (int line : List.of(1, 2, 3, 4, 5, 6, 10, 11, 12)) {
            mount(
                    cameras.get(line - 1),
                    "ceiling",
                    Map.of(Field.FIXING, "25", Field.BOND, "true", Field.START_VIEW, "home"));
        }
        mount(cameras.get(6), "wall", Map.of(Field.FIXING, "60", Field.START_VIEW, "last-place"));
        mount(cameras.get(7), "tripod", Map.of());
        mount(cameras.get(8), "tripod", Map.of());
        mount(cameras.get(12), "pole", Map.of(Field.FIXING, "40"));
        mount(
                cameras.get(13),
                "tripod",
                Map.of(
                        Field.PLATE_TRAVEL, "35",
                        Field.BUS_SWITCH, "remote",
                        Field.FOLLOW, "lock",
                        Field.SMOOTHNESS, "20"));
    }

    private void mount(long camera, String place, Map<Field, String> more) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.putAll(more);
        values.put(Field.MOUNT_CAMERA, Long.toString(camera));
        values.put(Field.PLACE, place);
        add(ItemKind.MOUNT, values);
    }

    private List<Long> cameras() {
        List<Long> ids = new ArrayList<>();
        for (String host : CEILING) {
            int number = ids.size() + 1;
            Map<Field, String> more =
                    Map.of(
                            Field.SERIAL_NUMBER,
                            "QH-20" + number,
                            Field.FORMAT_SET,
                            number == 6 ? "1080p25" : "1080p50");
            ids.add(device("L" + number, "ceiling-ptz", host, more));
        }
        ids.add(device("L7", "cinema-head", "27", Map.of(Field.SERIAL_NUMBER, "QH-407")));
        ids.add(device("L8", "shoulder-camera", "28", Map.of(Field.CONDITION, "rental")));
        ids.add(device("L9", "shoulder-camera", "29", Map.of(Field.CONDITION, "rental")));
        for (int number = 10; number <= 12; number++) {
            ids.add(
                    device(
                            "L" + number,
                            "ceiling-ptz-serial",
                            "",
                            Map.of(Field.FORMAT_SET, "1080p50")));
        }
        ids.add(
                device(
                        "L13",
                        "dome-rs485",
                        "",
                        Map.of(Field.BAUD, "9600", Field.TERMINATOR, "true")));
        ids.add(
                device(
                        "L14",
                        "gimbal-camera",
                        "",
                        Map.of(
                                Field.CONDITION, "second-hand",
                                Field.ALONG, "-18",
                                Field.ABOVE, "4")));
        return ids;
    }

    /** What sits between cameras and desk; returns the switcher. */
    private long between() {
        device("PoE switch", "poe-switch-16", "2", Map.of());
        device("Balcony switch", "poe-switch-8", "3", Map.of());
        device("House router", "house-router", "254", Map.of());
        device("Serial server", "serial-server-1", "4", Map.of());
        long switcher = device("SDI switcher", "sdi-switcher-8", "61", Map.of());
        device("Decoder", "av-decoder-serial", "62", Map.of());
        device("Recorder", "recorder-8", "63", Map.of());
        device("Converter 1", "converter-sdi-hdmi", "", Map.of());
        device("Converter 2", "converter-scaler", "", Map.of());
        device("Multiview monitor", "monitor-multiview", "", Map.of());
        device("Programme monitor", "monitor-programme", "", Map.of());
        device("Supply 24 V", "power-supply-24v", "", Map.of());
        device("Supply 12 V", "power-supply-12v", "", Map.of());
        device("Step-down", "step-down-24-12", "", Map.of());
        device("Laptop", "laptop", "81", Map.of());
        return switcher;
    }

    private long add(ItemKind kind, Map<Field, String> values) {
        long id = items.size() + 1L;
        items.add(new Item(new ItemRef(kind, id), values));
        return id;
    }

    private void range(String use, String first, String last, String holder) {
        add(
                ItemKind.RANGE,
                Map.of(
                        Field.RANGE_USE,
                        use,
                        Field.FIRST,
                        HOUSE + first,
                        Field.LAST,
                        HOUSE + last,
                        Field.HOLDER,
                        holder));
    }

    /**
     * @param host last octet of the planned address; empty for none
     */
    private long device(String name, String profile, String host, Map<Field, String> more) {
        boolean ours = !host.isEmpty() && !host.equals("254");
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.putAll(more);
        values.put(Field.NAME, name);
        values.put(Field.PROFILE, profile);
        values.put(Field.MAC, ours ? mac() : "");
        values.put(Field.ADDRESS, host.isEmpty() ? "" : HOUSE + host);
        values.put(Field.GATEWAY, ours ? GATEWAY : "");
        return add(ItemKind.DEVICE, values);
    }

    private String mac() {
        return String.format(Locale.ROOT, "02:4a:20:00:00:%02x", macs++);
    }

    private void line(
            int number,
            long camera,
            int controlId,
            Map<Field, String> key,
            Map<Field, String> input) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.putAll(key);
        values.putAll(input);
        values.put(Field.NUMBER, Integer.toString(number));
        values.put(Field.CAMERA, Long.toString(camera));
        values.put(Field.CONTROL_ID, Integer.toString(controlId));
        add(ItemKind.LINE, values);
    }
}
