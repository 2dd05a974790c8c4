package app.jerboa.wire.http;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** What goes into the places of a request. */
public final class Values {
    static final String VALUE = "value";
    private static final String WORD = "word";

    private final OptionalInt value;
    private final Map<String, String> texts;

    private Values(OptionalInt value, Map<String, String> texts) {
        this.value = value;
        this.texts = texts;
    }

    public static Values none() {
        return new Values(OptionalInt.empty(), Map.of());
    }

    /**
     * @param word of the choice it is; empty for a number without one
     */
    public static Values of(int value, String word) {
        return new Values(
                OptionalInt.of(value),
                Map.of(WORD, word.isEmpty() ? Integer.toString(value) : word));
    }

    /** For a sign-in. */
    public static Values account(String user, String password) {
        return new Values(OptionalInt.empty(), Map.of("user", user, "password", password));
    }

    static Values read(OptionalInt value, Map<String, String> texts) {
        return new Values(value, new HashMap<>(texts));
    }

    /**
     * @throws IllegalArgumentException where there is none
     */
    public int value() {
        return value.orElseThrow(() -> new IllegalArgumentException("there is no value for it"));
    }

    public OptionalInt number() {
        return value;
    }

    public Optional<String> word() {
        return Optional.ofNullable(texts.get(WORD));
    }

    /** A text by the name of its place; empty where there was none. */
    public String named(String name) {
        return texts.getOrDefault(name, "");
    }

    String text(String name) {
        String text = texts.get(name);
        if (text == null) {
            throw new IllegalArgumentException("nothing is known for {" + name + "}");
        }
        return text;
    }
}
