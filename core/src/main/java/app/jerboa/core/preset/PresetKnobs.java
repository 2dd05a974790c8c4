package app.jerboa.core.preset;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** What the knobs of a view stood at, as one text: {@code iris=12;gain=3}. */
public final class PresetKnobs {
    private PresetKnobs() {}

    public static String text(Map<String, Integer> read) {
        return read.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining(";"));
    }

    /** What is no value of a knob is left out: a file may hold anything. */
    public static Map<String, Integer> read(String text) {
        Map<String, Integer> read = new LinkedHashMap<>();
        Arrays.stream(text.split(";", -1))
                .map(pair -> pair.split("=", 2))
                .filter(pair -> pair.length == 2 && pair[1].matches("-?\\d{1,6}"))
                .forEach(pair -> read.put(pair[0], Integer.valueOf(pair[1])));
        return read;
    }
}
