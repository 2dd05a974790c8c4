package app.jerboa.server.words;

import app.jerboa.core.value.Reason;
import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;

/**
 * The catalogue: sentences by key in {@code words/*.properties}, in ICU message format. Facts are
 * filled in as they are; a number is a text with its unit, or an {@code int} where the words differ
 * by how many there are.
 */
public final class Words {
    private static final List<String> FILES =
            List.of(
                    "findings",
                    "steps",
                    "changes",
                    "refusals",
                    "texts",
                    "logbook",
                    "files",
                    "kit",
                    "desk",
                    "reach",
                    "routes",
                    "sums",
                    "wiring",
                    "proof",
                    "discovery");

    private static final Map<String, Sentence> ALL = read();

    private Words() {}

    /** One pattern; ICU's formats are not made for several threads at once. */
    private record Sentence(MessageFormat format, Set<String> names, String plain) {
        static Sentence of(MessageFormat format) {
            return new Sentence(format, format.getArgumentNames(), format.format(Map.of()));
        }

        String with(Map<String, ?> facts) {
            if (names.isEmpty()) {
                return plain;
            }
            Map<String, Object> all = new HashMap<>(facts);
            names.forEach(n -> all.putIfAbsent(n, ""));
            synchronized (format) {
                return format.format(all);
            }
        }
    }

    private static Map<String, Sentence> read() {
        Map<String, Sentence> all = new HashMap<>();
        for (String file : FILES) {
            lines(file)
                    .forEach(
                            (key, pattern) -> {
                                if (all.put(key.toString(), sentence(pattern.toString())) != null) {
                                    throw new IllegalStateException("worded twice: " + key);
                                }
                            });
        }
        return all;
    }

    private static Properties lines(String file) {
        Properties lines = new Properties();
        try (InputStream in = Words.class.getResourceAsStream("/words/" + file + ".properties")) {
            lines.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return lines;
    }

    private static Sentence sentence(String pattern) {
        MessageFormat format = new MessageFormat(pattern, ULocale.ENGLISH);
        return Sentence.of(format);
    }

    /** The sentence of a key, if it has one; facts that are not given are blank. */
    public static Optional<String> find(String key, Map<String, ?> facts) {
        return Optional.ofNullable(ALL.get(key)).map(s -> s.with(facts));
    }

    /**
     * @throws IllegalStateException for a key without words: a slip of ours
     */
    public static String say(String key, Map<String, ?> facts) {
        return find(key, facts)
                .orElseThrow(() -> new IllegalStateException("no wording for " + key));
    }

    public static String say(String key) {
        return say(key, Map.of());
    }

    /** A reason of the core, and those within it. */
    public static String say(Reason reason) {
        Map<String, Object> facts = new HashMap<>();
        reason.facts()
                .forEach((n, f) -> facts.put(n, f instanceof Reason within ? say(within) : f));
        return say(reason.key(), facts);
    }

    /** Every key, in order. */
    static Set<String> keys() {
        return new TreeSet<>(ALL.keySet());
    }
}
