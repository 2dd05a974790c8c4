package app.jerboa.core.job.addresses;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.text.FieldTexts;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Somebody's address sheet beside the plan, row by row: what agrees, what differs, what is new. */
public final class SheetComparison {
    /** Rows at once. */
    public static final int MOST_ROWS = 5_000;

    /** What a column says. */
    private enum Column {
        LINE("line", "line no", "channel"),
        NAME("name", "device", "label", "camera", "host", "hostname"),
        MAC("mac", "mac address", "hardware address", "ethernet address"),
        ADDRESS("planned address", "address", "ip", "ip address", "ipv4", "ipv4 address"),
        PREFIX("prefix", "prefix length", "cidr", "mask", "netmask", "subnet mask"),
        GATEWAY("gateway", "router", "default gateway"),
        CONTROL_ID("control id", "id", "visca id", "camera id");

        /** With a bar on either side of each. */
        private final String headings;

        Column(String... headings) {
            this.headings = "|" + String.join("|", headings) + "|";
        }

        static Optional<Column> of(String heading) {
            String plain = heading.strip().toLowerCase(Locale.ROOT).replace('_', ' ');
            return Arrays.stream(values())
                    .filter(c -> c.headings.contains("|" + plain + "|"))
                    .findFirst();
        }
    }

    /**
     * What became of one row.
     *
     * @param number counted from 1, headings included
     * @param name as the sheet has it
     * @param device it is about; empty when no device of the kit is meant
     * @param edits that make the plan as the sheet; empty when they agree
     * @param trouble why it cannot be taken; empty when it can
     */
    public record Row(
            int number,
            String name,
            Optional<Device> device,
            List<Edit> edits,
            Optional<Reason> trouble) {}

    /**
     * All of it.
     *
     * @param missing devices of the plan that the sheet does not name
     */
    public record Result(List<Row> rows, List<Device> missing) {}

    private final Job job;
    private final Map<Column, Integer> columns = new EnumMap<>(Column.class);
    private final Map<String, Device> byMac = new HashMap<>();
    private final Map<String, Device> byName = new HashMap<>();
    private final Map<String, Line> byLine = new HashMap<>();
    private final Map<Long, Device> byId = new HashMap<>();
    private final Map<Long, Line> lines = new HashMap<>();
    private final Set<Long> seen = new HashSet<>();

    private SheetComparison(Job job) {
        this.job = job;
        for (Device d : job.devices()) {
            byId.put(d.id().value(), d);
            byName.putIfAbsent(plain(d.name()), d);
            if (!d.mac().isEmpty()) {
                byMac.putIfAbsent(d.mac(), d);
            }
        }
        for (Line l : job.lines()) {
            byLine.putIfAbsent(plain(job.label(l)), l);
            lines.putIfAbsent(l.camera().value(), l);
        }
    }

    private static String plain(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    /**
     * @param rows the first with headings; at least an address and a name, MAC or line among them
     * @throws IllegalArgumentException when the headings do not tell
     */
    public static Result of(Job job, List<List<String>> rows) {
        return new SheetComparison(job).compare(rows);
    }

    private Result compare(List<List<String>> rows) {
        List<String> head = rows.isEmpty() ? List.of() : rows.get(0);
        for (int i = 0; i < head.size(); i++) {
            int at = i;
            Column.of(head.get(i)).ifPresent(c -> columns.putIfAbsent(c, at));
        }
        boolean names =
                columns.containsKey(Column.NAME)
                        || columns.containsKey(Column.MAC)
                        || columns.containsKey(Column.LINE);
        if (!columns.containsKey(Column.ADDRESS) || !names) {
            throw new IllegalArgumentException(
                    "the first row must name a column \"address\" and one of \"name\", \"MAC\" or \"line\"");
        }
        List<Row> compared = new ArrayList<>();
        for (int i = 1; i < rows.size(); i++) {
            if (!rows.get(i).stream().allMatch(String::isBlank)) {
                compared.add(row(i + 1, rows.get(i)));
            }
        }
        List<Device> missing =
                job.devices().stream()
                        .filter(d -> d.address().isPresent() && !seen.contains(d.id().value()))
                        .toList();
        return new Result(compared, missing);
    }

    private String cell(List<String> row, Column column) {
        Integer at = columns.get(column);
        String text = at == null || at >= row.size() ? "" : row.get(at).strip();
        // As our own sheets keep spreadsheets from running a cell.
        return text.startsWith("'") ? text.substring(1) : text;
    }

    private Row row(int number, List<String> cells) {
        String name = cell(cells, Column.NAME);
        String called = name.isEmpty() ? cell(cells, Column.LINE) : name;
        String shown = called.isEmpty() ? cell(cells, Column.MAC) : called;
        Optional<Device> device = find(cells, name);
        if (device.isEmpty()) {
            return new Row(
                    number, shown, device, List.of(), Optional.of(Reason.of("sheet.no-device")));
        }
        if (!seen.add(device.get().id().value())) {
            return new Row(
                    number, shown, device, List.of(), Optional.of(Reason.of("sheet.device-twice")));
        }
        try {
            return new Row(number, shown, device, edits(device.get(), cells), Optional.empty());
        } catch (TextRejected e) {
            Reason why = Reason.of("sheet.not-taken", "text", e.input(), "why", e.reason());
            return new Row(number, shown, device, List.of(), Optional.of(why));
        }
    }

    /** A MAC tells surest, then the name, then the line. */
    private Optional<Device> find(List<String> cells, String name) {
        String mac = FieldTexts.tidy(Field.MAC, cell(cells, Column.MAC));
        Line line = byLine.get(plain(cell(cells, Column.LINE)));
        return Optional.ofNullable(mac.isEmpty() ? null : byMac.get(mac))
                .or(() -> Optional.ofNullable(byName.get(plain(name))))
                .or(() -> Optional.ofNullable(line).map(l -> byId.get(l.camera().value())));
    }

    private List<Edit> edits(Device d, List<String> cells) {
        List<Edit> edits = new ArrayList<>();
        differs(d, Field.ADDRESS, cell(cells, Column.ADDRESS), edits);
        differs(d, Field.PREFIX, prefix(cell(cells, Column.PREFIX)), edits);
        differs(d, Field.GATEWAY, cell(cells, Column.GATEWAY), edits);
        differs(d, Field.MAC, cell(cells, Column.MAC), edits);
        String id = cell(cells, Column.CONTROL_ID);
        Line line = lines.get(d.id().value());
        if (line != null && !id.isEmpty()) {
            String text = FieldTexts.checked(Field.CONTROL_ID, id);
            String before = JobItems.text(line, Field.CONTROL_ID);
            if (!before.equals(text)) {
                edits.add(new Edit(line.ref(), Field.CONTROL_ID, before, text));
            }
        }
        return edits;
    }

    private static void differs(Device d, Field field, String cell, List<Edit> edits) {
        if (cell.isEmpty()) {
            return;
        }
        String text = FieldTexts.checked(field, cell);
        String before = JobItems.text(d, field);
        if (!before.equals(text)) {
            edits.add(new Edit(d.ref(), field, before, text));
        }
    }

    /** A prefix as such, with its slash, or as a mask. */
    private static String prefix(String cell) {
        String bare = cell.startsWith("/") ? cell.substring(1) : cell;
        return bare.contains(".") ? Masks.prefix(bare) : bare;
    }
}
