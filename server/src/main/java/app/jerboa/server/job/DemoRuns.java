package app.jerboa.server.job;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;

/**
 * The runs of the demo hall. The PoE switch feeds six heads and more besides, and the dome gets its
 * 12 V over 42 m of a data cable, next to its bus.
 */
final class DemoRuns {
    private static final String SWITCH = "PoE switch";
    private static final String BALCONY = "Balcony switch";
    private static final String MIXER = "SDI switcher";

    private final Map<String, Long> ids = new HashMap<>();
    private final BiConsumer<ItemKind, Map<Field, String>> add;

    DemoRuns(List<Item> items, BiConsumer<ItemKind, Map<Field, String>> add) {
        items.stream()
                .filter(i -> i.ref().kind() == ItemKind.DEVICE)
                .forEach(i -> ids.put(i.text(Field.NAME), i.ref().id()));
        this.add = add;
    }

    void all() {
        network();
        pictures();
        serial();
        dome();
    }

    private void network() {
        data(SWITCH, "UPLINK 1", "House router", "LAN 1", 18);
        data(BALCONY, "UPLINK 1", SWITCH, "UPLINK 2", 35);
        int[] metres = {38, 44, 36, 52, 41, 57};
        for (int line = 1; line <= metres.length; line++) {
            data(SWITCH, "PORT " + line, "L" + line, "LAN", metres[line - 1]);
        }
        data(SWITCH, "PORT 7", "L7", "LAN", 22);
        data(SWITCH, "PORT 8", "Network adapter 1", "LAN", 26);
        data(SWITCH, "PORT 9", "Network adapter 2", "LAN", 26);
        data(SWITCH, "PORT 10", "Control bridge", "LAN", 31);
        data(SWITCH, "PORT 15", "Recorder", "LAN", 3);
        data(SWITCH, "PORT 16", MIXER, "LAN", 3);
        data(BALCONY, "PORT 1", "IP stick", "LAN", 4);
        data(BALCONY, "PORT 2", "Paint panel", "LAN", 4);
        data(BALCONY, "PORT 3", "Serial server", "LAN", 3);
        data(BALCONY, "PORT 4", "Decoder", "LAN", 6);
        data(BALCONY, "PORT 8", "Laptop", "LAN", 5);
    }

    private void pictures() {
        int[] metres = {38, 44, 36, 52, 41, 57, 24, 28};
        for (int line = 1; line <= metres.length; line++) {
            int input = line == 5 ? 6 : line == 6 ? 5 : line;
            String out = line > 6 ? "SDI 1" : "SDI";
            coax("L" + line, out, MIXER, "INPUT " + input, metres[line - 1]);
        }
        coax(MIXER, "PGM 1", "Programme monitor", "SDI 1", 9);
        run(MIXER, "MULTIVIEW", "Multiview monitor", "HDMI 1", "hdmi", 4, Map.of());
    }

    private void serial() {
        lead("Serial stick", "RS-232", "L10", "VISCA IN", 12);
        lead("L10", "VISCA OUT", "L11", "VISCA IN", 10);
        lead("L11", "VISCA OUT", "L12", "VISCA IN", 10);
    }

    /** One outdoor data cable in two runs: a pair for the bus, two pairs for power. */
    private void dome() {
        run(
                "Serial stick",
                "RS-485",
                "L13",
                "RS-485",
                "data",
                42,
                Map.of(Field.FROM_PINS, "first-to-plus", Field.TO_PINS, "first-to-plus"));
        run(
                "Supply 12 V",
                "12 V",
                "L13",
                "DC",
                "data",
                42,
                Map.of(Field.CONDUCTORS, "2", Field.LAID, "conduit"));
    }

    private void data(String from, String port, String to, String socket, int metres) {
        Map<Field, String> ends = Map.of(Field.FROM_PINS, "t568b", Field.TO_PINS, "t568b");
        run(from, port, to, socket, "data", metres, ends);
    }

    private void coax(String from, String port, String to, String socket, int metres) {
        run(from, port, to, socket, "coax-rg6", metres, Map.of());
    }

    private void lead(String from, String port, String to, String socket, int metres) {
        run(from, port, to, socket, "serial", metres, Map.of());
    }

    private void run(
            String from,
            String port,
            String to,
            String socket,
            String cable,
            int metres,
            Map<Field, String> more) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.putAll(more);
        values.put(Field.RUN_FROM, ids.get(from).toString());
        values.put(Field.FROM_PORT, port);
        values.put(Field.RUN_TO, ids.get(to).toString());
        values.put(Field.TO_PORT, socket);
        values.put(Field.CABLE, cable);
        values.put(Field.METRES, Integer.toString(metres));
        add.accept(ItemKind.RUN, values);
    }
}
