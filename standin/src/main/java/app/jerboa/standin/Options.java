package app.jerboa.standin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** {@code --name value} pairs of a command line. */
final class Options {
    private final Map<String, String> values = new LinkedHashMap<>();

    /**
     * @throws IllegalArgumentException for an unknown name or a value left out, in plain words
     */
    Options(String[] args, int from, Set<String> known) {
        for (int i = from; i < args.length; i += 2) {
            String name = args[i].startsWith("--") ? args[i].substring(2) : "";
            if (!known.contains(name)) {
                throw new IllegalArgumentException(
                        "unknown option \""
                                + args[i]
                                + "\"; known are --"
                                + String.join(", --", known));
            }
            if (i + 1 == args.length) {
                throw new IllegalArgumentException("--" + name + " needs a value");
            }
            values.put(name, args[i + 1]);
        }
    }

    /**
     * The command line cut before each {@code --first}, so that several things can be asked for.
     *
     * @throws IllegalArgumentException as the constructor
     */
    static List<Options> groups(String[] args, String first, Set<String> known) {
        List<Options> groups = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= args.length; i++) {
            if (i == args.length || args[i].equals("--" + first)) {
                groups.add(new Options(Arrays.copyOf(args, i), from, known));
                from = i;
            }
        }
        return groups.isEmpty() ? List.of(new Options(args, 0, known)) : groups;
    }

    Optional<String> text(String name) {
        return Optional.ofNullable(values.get(name));
    }

    double number(String name, double otherwise) {
        return text(name).map(t -> number(name, t)).orElse(otherwise);
    }

    private static double number(String name, String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(
                    "--" + name + " needs a number, got \"" + text + "\"", e);
        }
    }

    /** A port, 0 for any free one. */
    int port(String name, int otherwise) {
        return whole(name, otherwise, 65_535);
    }

    /** From 0 to a highest. */
    int whole(String name, int otherwise, int most) {
        double number = number(name, otherwise);
        if (number != Math.rint(number) || number < 0 || number > most) {
            throw new IllegalArgumentException("--" + name + " needs a number from 0 to " + most);
        }
        return (int) number;
    }

    boolean has(String name) {
        return values.containsKey(name);
    }
}
