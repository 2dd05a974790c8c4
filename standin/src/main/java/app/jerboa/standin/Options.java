package app.jerboa.standin;

import java.util.LinkedHashMap;
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
        double port = number(name, otherwise);
        if (port != Math.rint(port) || port < 0 || port > 65_535) {
            throw new IllegalArgumentException("--" + name + " needs a port from 0 to 65535");
        }
        return (int) port;
    }
}
