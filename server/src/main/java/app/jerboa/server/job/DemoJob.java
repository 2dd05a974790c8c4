package app.jerboa.server.job;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import app.jerboa.core.value.ItemKind;
import app.jerboa.core.value.ItemRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The demo scenario: an invented ice hall with four ceiling cameras on a counting stick. One fault
 * is left in: L4 was typed by hand onto an address that a score computer has.
 */
final class DemoJob {
    private static final String HOUSE = "10.44.8.";
    private static final String GATEWAY = HOUSE + "254";
    private static final List<String> CAMERA_ADDRESSES = List.of("21", "22", "23", "33");

    private final List<Item> items = new ArrayList<>();

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
        List<Long> cameras = new ArrayList<>();
        for (int i = 0; i < CAMERA_ADDRESSES.size(); i++) {
            String mac = "02:4a:20:00:00:0" + (i + 1);
            cameras.add(device("L" + (i + 1), "ceiling-ptz", mac, CAMERA_ADDRESSES.get(i)));
        }
        long stick = device("IP stick", "ip-stick-8-counting", "02:4a:11:00:00:01", "11");
        device("PoE switch", "poe-switch-16", "02:4a:02:00:00:01", "2");
        device("House router", "house-router", "", "254");
        for (int i = 0; i < cameras.size(); i++) {
            String number = Integer.toString(i + 1);
            add(
                    ItemKind.LINE,
                    Map.of(
                            Field.NUMBER, number,
                            Field.CAMERA, cameras.get(i).toString(),
                            Field.CONTROL_ID, number,
                            Field.CONTROLLER, Long.toString(stick),
                            Field.KEY, number));
        }
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

    private long device(String name, String profile, String mac, String host) {
        return add(
                ItemKind.DEVICE,
                Map.of(
                        Field.NAME, name,
                        Field.PROFILE, profile,
                        Field.MAC, mac,
                        Field.ADDRESS, HOUSE + host,
                        Field.GATEWAY, host.equals("254") ? "" : GATEWAY));
    }
}
