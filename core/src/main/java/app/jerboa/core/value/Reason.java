package app.jerboa.core.value;

import java.util.Map;
import java.util.stream.Collectors;

/**
 * Why something is not taken: the key of its sentence in the catalogue of words, and what stands in
 * it.
 *
 * @param facts by the names that the sentence has for them: texts, or a reason within this one
 */
public record Reason(String key, Map<String, Object> facts) {
    public Reason {
        facts = Map.copyOf(facts);
    }

    public static Reason of(String key) {
        return new Reason(key, Map.of());
    }

    public static Reason of(String key, String name, Object fact) {
        return new Reason(key, Map.of(name, text(fact)));
    }

    public static Reason of(String key, String name, Object fact, String other, Object second) {
        return new Reason(key, Map.of(name, text(fact), other, text(second)));
    }

    private static Object text(Object fact) {
        return fact instanceof Reason ? fact : fact.toString();
    }

    /** For logs and tests; people read the sentence. */
    @Override
    public String toString() {
        return facts.isEmpty()
                ? key
                : facts.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> e.getKey() + " " + e.getValue())
                        .collect(Collectors.joining(", ", key + " (", ")"));
    }
}
