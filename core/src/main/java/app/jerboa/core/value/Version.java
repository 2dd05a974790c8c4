package app.jerboa.core.value;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** A firmware version as dotted whole numbers; missing parts count as 0. */
public record Version(List<Integer> parts) implements Comparable<Version> {
    private static final Pattern DOTTED = Pattern.compile("[vV]?\\d{1,6}(\\.\\d{1,6}){0,5}");

    public Version {
        parts = List.copyOf(parts);
    }

    /** Empty for what is no dotted number; a leading v is passed over. */
    public static Optional<Version> parse(String text) {
        String stripped = text.strip();
        if (!DOTTED.matcher(stripped).matches()) {
            return Optional.empty();
        }
        String digits = stripped.replaceFirst("^[vV]", "");
        return Optional.of(
                new Version(Arrays.stream(digits.split("\\.", -1)).map(Integer::valueOf).toList()));
    }

    @Override
    public int compareTo(Version other) {
        for (int i = 0; i < Math.max(parts.size(), other.parts.size()); i++) {
            int order = Integer.compare(part(i), other.part(i));
            if (order != 0) {
                return order;
            }
        }
        return 0;
    }

    private int part(int index) {
        return index < parts.size() ? parts.get(index) : 0;
    }

    /** By value: 2.4 is 2.4.0. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Version v && compareTo(v) == 0;
    }

    @Override
    public int hashCode() {
        int last = parts.size();
        while (last > 0 && parts.get(last - 1) == 0) {
            last--;
        }
        return parts.subList(0, last).hashCode();
    }
}
