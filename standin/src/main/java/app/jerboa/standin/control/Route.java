package app.jerboa.standin.control;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One thing that a hand can do through the control interface.
 *
 * @param path with its variable parts in braces
 * @param takes the body it reads; {@code Void} for none
 * @param gives the body it answers
 */
record Route<B>(
        String method, String path, Class<B> takes, Class<?> gives, String does, Does<B> by) {
    /** What is asked: the variable parts of the path by name, and the body. */
    interface Does<B> {
        Object answer(Map<String, String> parts, B body);
    }

    /** The variable parts, where this is the route that is asked for. */
    Optional<Map<String, String>> matches(String asked, List<String> at) {
        List<String> own = List.of(path.substring(1).split("/"));
        if (!asked.equals(method) || own.size() != at.size()) {
            return Optional.empty();
        }
        Map<String, String> parts = new TreeMap<>();
        for (int i = 0; i < own.size(); i++) {
            String part = own.get(i);
            if (part.startsWith("{")) {
                parts.put(part.substring(1, part.length() - 1), at.get(i));
            } else if (!part.equals(at.get(i))) {
                return Optional.empty();
            }
        }
        return Optional.of(parts);
    }
}
