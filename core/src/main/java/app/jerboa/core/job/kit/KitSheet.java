package app.jerboa.core.job.kit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Tidy;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.FieldCheck;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.Kebab;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A kit list from somebody's spreadsheet, row by row: a new device, values for one that is there,
 * or a reason why the row is left out. Good rows are kept whatever the others say.
 */
public final class KitSheet {
    /** Rows at once. */
    public static final int MOST_ROWS = 2_000;

    /**
     * One row as it was pasted.
     *
     * @param line counted from 1, headings included
     */
    public record Row(int line, List<String> cells) {}

    /**
     * A row that is taken.
     *
     * @param change the device whose values it changes; empty for new devices
     * @param count how many devices it adds; 0 when it changes one
     */
    public record Good(
            int line,
            Optional<Device> change,
            Profile profile,
            int count,
            Map<Field, String> values) {}

    /** A row that is left out, and why. */
    public record Bad(int line, String text, Reason reason) {}

    /** What became of every row. */
    public record Reading(List<Good> good, List<Bad> bad) {
        public Reading {
            good = List.copyOf(good);
            bad = List.copyOf(bad);
        }
    }

    private static final class Unusable extends RuntimeException {
        private final transient Reason reason;

        Unusable(Reason reason) {
            super(reason.toString());
            this.reason = reason;
        }
    }

    private final Job job;
    private final ProfileNames profiles;
    private final List<SheetColumn> columns;
    private final Map<String, Device> byName = new HashMap<>();
    private final Map<String, String> macs = new HashMap<>();
    private final Set<String> newNames = new HashSet<>();
    private final List<Good> good = new ArrayList<>();
    private final List<Bad> bad = new ArrayList<>();

    private KitSheet(Job job, ProfileNames profiles, List<SheetColumn> columns) {
        this.job = job;
        this.profiles = profiles;
        this.columns = columns;
        job.devices().forEach(d -> byName.putIfAbsent(d.name(), d));
        job.devices().stream()
                .filter(d -> !d.mac().isEmpty())
                .forEach(d -> macs.put(d.mac(), d.name()));
    }

    /**
     * @param columns what each column says; cells beyond them are passed over
     */
    public static Reading read(
            Job job, ProfileNames profiles, List<SheetColumn> columns, List<Row> rows) {
        KitSheet sheet = new KitSheet(job, profiles, columns);
        rows.forEach(sheet::row);
        return new Reading(sheet.good, sheet.bad);
    }

    /**
     * The changes that take over what was read.
     *
     * @param next the first free item number of the job
     */
    public static ChangeSet changes(JobEditor editor, Job job, Reading reading, long next) {
        List<KitAdding.Wanted> wanted = new ArrayList<>();
        List<Edit> edits = new ArrayList<>();
        for (Good row : reading.good()) {
            for (int i = 0; i < row.count(); i++) {
                wanted.add(new KitAdding.Wanted(row.profile(), row.values()));
            }
            row.change().ifPresent(d -> edits.addAll(edits(d, row.values())));
        }
        ChangeSet adding =
                wanted.isEmpty()
                        ? new ChangeSet(List.of(), List.of(), List.of())
                        : KitAdding.of(editor, job, wanted, next);
        return new ChangeSet(adding.adds(), edits, List.of());
    }

    private static List<Edit> edits(Device d, Map<Field, String> values) {
        return values.entrySet().stream()
                .filter(e -> !JobItems.text(d, e.getKey()).equals(e.getValue()))
                .map(e -> Edit.of(d.id(), e.getKey(), JobItems.text(d, e.getKey()), e.getValue()))
                .toList();
    }

    private void row(Row row) {
        if (row.cells().stream().allMatch(String::isBlank)) {
            return;
        }
        try {
            good.add(read(row));
        } catch (Unusable e) {
            bad.add(new Bad(row.line(), String.join("  ", row.cells()).strip(), e.reason));
        }
    }

    private Good read(Row row) {
        Map<SheetColumn, String> cells = cells(row);
        Map<Field, String> values = values(cells);
        Optional<Device> there = Optional.ofNullable(byName.get(values.get(Field.NAME)));
        int count = count(cells, values);
        insistOnOneMac(values, there);
        if (there.isPresent()) {
            return change(row, there.get(), cells, values);
        }
        String wanted = cells.getOrDefault(SheetColumn.PROFILE, "");
        if (wanted.isEmpty()) {
            throw new Unusable(Reason.of("sheet.no-profile-named"));
        }
        Profile profile = profile(wanted);
        values.remove(Field.PROFILE);
        String name = values.get(Field.NAME);
        if (name != null && !newNames.add(name)) {
            throw new Unusable(Reason.of("sheet.name-twice", "name", name));
        }
        remember(values, name == null ? profile.name() : name);
        return new Good(row.line(), Optional.empty(), profile, count, values);
    }

    private Good change(
            Row row, Device there, Map<SheetColumn, String> cells, Map<Field, String> values) {
        String wanted = cells.getOrDefault(SheetColumn.PROFILE, "");
        Profile profile = wanted.isEmpty() ? there.profile() : profile(wanted);
        values.put(Field.PROFILE, profile.id());
        if (edits(there, values).isEmpty()) {
            throw new Unusable(Reason.of("sheet.noted", "name", there.name()));
        }
        remember(values, there.name());
        return new Good(row.line(), Optional.of(there), profile, 0, values);
    }

    private Map<SheetColumn, String> cells(Row row) {
        Map<SheetColumn, String> cells = new EnumMap<>(SheetColumn.class);
        for (int i = 0; i < Math.min(columns.size(), row.cells().size()); i++) {
            String cell = row.cells().get(i).strip();
            if (columns.get(i) != SheetColumn.NOTHING && !cell.isEmpty()) {
                cells.put(columns.get(i), cell);
            }
        }
        return cells;
    }

    private Map<Field, String> values(Map<SheetColumn, String> cells) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        cells.forEach(
                (column, cell) ->
                        column.field()
                                .filter(f -> f != Field.PROFILE)
                                .ifPresent(f -> values.put(f, value(f, cell))));
        return values;
    }

    private String value(Field field, String cell) {
        String text = Tidy.tidy(field.type(), cell, job.site().units());
        String plain = field == Field.CONDITION ? condition(text) : text;
        try {
            FieldCheck.check(field.type(), plain, profiles.shelf());
        } catch (TextRejected e) {
            throw new Unusable(
                    new Reason(
                            "sheet.no-" + Kebab.of(field),
                            Map.of("text", cell, "why", e.reason())));
        }
        return plain;
    }

    private static String condition(String text) {
        String lower = text.toLowerCase(Locale.ROOT);
        return switch (lower) {
            case "used", "second hand", "secondhand" -> "second-hand";
            case "rented", "hire", "hired" -> "rental";
            default -> lower;
        };
    }

    private static int count(Map<SheetColumn, String> cells, Map<Field, String> values) {
        String text = cells.getOrDefault(SheetColumn.COUNT, "1");
        if (!text.matches("[1-9]\\d{0,2}") || Integer.parseInt(text) > KitAdding.MOST) {
            throw new Unusable(Reason.of("sheet.count", "text", text, "most", KitAdding.MOST));
        }
        int count = Integer.parseInt(text);
        if (count > 1 && !values.isEmpty()) {
            throw new Unusable(Reason.of("sheet.one-device", "count", count));
        }
        return count;
    }

    private void insistOnOneMac(Map<Field, String> values, Optional<Device> there) {
        String mac = values.getOrDefault(Field.MAC, "");
        String holder = macs.get(mac);
        if (holder != null && there.filter(d -> d.name().equals(holder)).isEmpty()) {
            throw new Unusable(Reason.of("sheet.mac-twice", "name", holder, "mac", mac));
        }
    }

    private void remember(Map<Field, String> values, String holder) {
        Optional.ofNullable(values.get(Field.MAC)).ifPresent(m -> macs.put(m, holder));
    }

    private Profile profile(String wanted) {
        List<Profile> found = profiles.find(wanted);
        if (found.isEmpty()) {
            throw new Unusable(Reason.of("sheet.no-profile", "text", wanted));
        }
        if (found.size() > 1) {
            throw new Unusable(
                    new Reason(
                            found.size() > 2 ? "sheet.many-profiles" : "sheet.two-profiles",
                            Map.of(
                                    "text", wanted,
                                    "one", found.get(0).name(),
                                    "other", found.get(1).name())));
        }
        return found.get(0);
    }
}
