package app.jerboa.core.job.kit;

import app.jerboa.core.job.kit.KitSheet.Row;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Which column of a pasted sheet says what: by its headings, else by what stands in it.
 *
 * @param headings the first row is headings
 */
public record ColumnGuess(List<SheetColumn> columns, boolean headings) {
    private static final Pattern MAC = Pattern.compile("([0-9a-fA-F]{2}[:.-]?){5}[0-9a-fA-F]{2}");
    private static final Pattern DOTTED = Pattern.compile("\\d{1,3}(\\.\\d{1,3}){3}");
    private static final Pattern COUNT = Pattern.compile("\\d{1,3}");
    private static final Pattern VERSION = Pattern.compile("[vV]?\\d+(\\.\\d+){1,3}");

    /** Rows that are looked at; the rest will be like them. */
    private static final int SAMPLE = 20;

    public static ColumnGuess of(List<Row> rows, ProfileNames profiles) {
        int width = rows.stream().mapToInt(r -> r.cells().size()).max().orElse(0);
        if (!rows.isEmpty()) {
            List<Optional<SheetColumn>> named =
                    rows.get(0).cells().stream().map(SheetColumn::fromHeading).toList();
            if (named.stream().anyMatch(Optional::isPresent)) {
                return new ColumnGuess(once(named, width), true);
            }
        }
        List<Optional<SheetColumn>> seen =
                IntStream.range(0, width)
                        .mapToObj(i -> content(column(rows, i), profiles))
                        .toList();
        return new ColumnGuess(once(seen, width), false);
    }

    private static List<String> column(List<Row> rows, int index) {
        return rows.stream()
                .filter(r -> index < r.cells().size() && !r.cells().get(index).isBlank())
                .limit(SAMPLE)
                .map(r -> r.cells().get(index).strip())
                .toList();
    }

    private static Optional<SheetColumn> content(List<String> cells, ProfileNames profiles) {
        if (cells.isEmpty()) {
            return Optional.empty();
        }
        if (most(cells, c -> MAC.matcher(c).matches())) {
            return Optional.of(SheetColumn.MAC);
        }
        if (most(cells, c -> DOTTED.matcher(c).matches())) {
            return Optional.of(SheetColumn.ADDRESS);
        }
        if (most(cells, c -> COUNT.matcher(c).matches())) {
            return Optional.of(SheetColumn.COUNT);
        }
        if (most(cells, c -> VERSION.matcher(c).matches())) {
            return Optional.of(SheetColumn.FIRMWARE);
        }
        if (most(cells, c -> profiles.find(c).size() == 1)) {
            return Optional.of(SheetColumn.PROFILE);
        }
        return Optional.of(SheetColumn.NAME);
    }

    private static boolean most(List<String> cells, Predicate<String> test) {
        return cells.stream().filter(test).count() * 2 > cells.size();
    }

    /** The first column of each sort keeps it, the others say nothing. */
    private static List<SheetColumn> once(List<Optional<SheetColumn>> guessed, int width) {
        Set<SheetColumn> given = EnumSet.noneOf(SheetColumn.class);
        List<SheetColumn> columns = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            Optional<SheetColumn> column = i < guessed.size() ? guessed.get(i) : Optional.empty();
            columns.add(column.filter(given::add).orElse(SheetColumn.NOTHING));
        }
        return columns;
    }
}
