package app.jerboa.server.findings;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Waiver;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.words.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Findings in words. */
@Component
public class FindingWords {
    private static final int MOST_NAMED = 4;

    /** The words of a finding, and what the items that it names were called then. */
    public record Worded(FindingBody body, Map<Long, String> called) {
        /** They are still called so. */
        public boolean holds(LongFunction<String> names) {
            return called.entrySet().stream()
                    .allMatch(e -> e.getValue().equals(named(e.getKey(), names)));
        }

        /** With who accepted it, if anybody did. */
        public FindingBody body(Optional<Waiver> waiver) {
            return waiver.isEmpty()
                    ? body
                    : body.with(
                            waiver.map(
                                    w ->
                                            new FindingBody.WaiverBody(
                                                    w.id(), w.person(), w.reason())));
        }
    }

    /** A finding that outlived a change is the same object: it keeps its words. */
    private final Cache<Finding, Worded> worded = Caffeine.newBuilder().weakKeys().build();

    /** One that is not of the job itself, so that it offers no change and is never waived. */
    public static FindingBody beside(Finding finding) {
        return body(finding, id -> "");
    }

    /**
     * @param names what an item is called, by its id
     */
    public Worded words(Finding finding, LongFunction<String> names) {
        Worded known = worded.getIfPresent(finding);
        if (known == null || !known.holds(names)) {
            Map<Long, String> called = new HashMap<>();
            known = new Worded(body(finding, id -> noted(id, names, called)), called);
            worded.put(finding, known);
        }
        return known;
    }

    private static String noted(long id, LongFunction<String> names, Map<Long, String> called) {
        String name = named(id, names);
        called.put(id, name);
        return name;
    }

    private static FindingBody body(Finding finding, LongFunction<String> names) {
        String code = finding.code().code();
        return new FindingBody(
                finding.key(),
                code,
                finding.code().discipline().wire(),
                finding.code().severity().name().toLowerCase(Locale.ROOT),
                text(code, "what", finding.facts()),
                text(code, "why", finding.facts()),
                text(code, "source", finding.facts()),
                finding.devices().stream().map(DeviceId::value).toList(),
                finding.field().wire(),
                finding.fixes().stream().map(f -> fix(f, names)).toList(),
                Optional.empty());
    }

    /**
     * Without words a finding shows its code and its facts: a job must open whatever is found. A
     * text may differ by the finding's fact "what": then {@code CODE.what.<that>} goes first.
     */
    static String text(String code, String part, Map<String, String> facts) {
        String key = code + "." + part;
        return Words.find(key + "." + facts.getOrDefault("what", ""), facts)
                .or(() -> Words.find(key, facts))
                .orElseGet(() -> part.equals("what") ? code + ": " + facts : "");
    }

    private static FindingBody.FixBody fix(Fix fix, LongFunction<String> names) {
        Map<String, String> facts = Map.of("what", what(fix, names));
        return new FindingBody.FixBody(
                Words.find("fix." + fix.key(), facts)
                        .orElseGet(() -> fix.key() + ": " + facts.get("what")),
                ChangesBody.of(fix.changes()));
    }

    private static String what(Fix fix, LongFunction<String> names) {
        List<Edit> edits = fix.changes().edits();
        List<Item> adds = fix.changes().adds();
        if (edits.size() > MOST_NAMED) {
            return Words.say("fix-part.many", Map.of("count", edits.size()));
        }
        if (!edits.isEmpty()) {
            return edits.stream()
                    .filter(e -> edits.size() == 1 || !silent(e))
                    .map(e -> phrase(e, named(e.item().id(), names), names))
                    .distinct()
                    .collect(Collectors.joining(", "));
        }
        return adds.isEmpty()
                ? fix.changes().removes().stream()
                        .map(i -> named(i.ref().id(), names))
                        .collect(Collectors.joining(", "))
                : adds.stream()
                        .map(i -> i.text(Field.NAME))
                        .filter(name -> !name.isEmpty())
                        .collect(Collectors.joining(", "));
    }

    /** Blank for what has no name of its own, such as the job itself. */
    private static String named(long item, LongFunction<String> names) {
        return Objects.requireNonNullElse(names.apply(item), "");
    }

    /** What goes without saying beside the other edits of a fix. */
    private static boolean silent(Edit edit) {
        return edit.field() == Field.CABLE || edit.field() == Field.CONDUCTORS;
    }

    private static String phrase(Edit edit, String name, LongFunction<String> names) {
        String after = edit.after();
        String said =
                switch (edit.field()) {
                    case ADDRESS -> "address";
                    case GATEWAY -> "gateway";
                    case PREFIX -> "prefix";
                    case NAME -> "name";
                    case KEY, ALSO_KEY, PANEL_KEY -> after.isEmpty() ? "" : "key";
                    case INPUT -> "input";
                    case CONTROL_ID -> "controlId";
                    case PAN_LIMIT -> "panLimit";
                    case GAUGE -> "gauge";
                    case CONDUCTORS -> "conductors";
                    case FROM_PORT, TO_PORT -> "port";
                    case BAUD -> "baud";
                    case FRAMING, SERIAL_PROTOCOL -> "setting";
                    case OUTGOING -> "outgoing";
                    case CONTROLLER, ALSO, PANEL -> after.isEmpty() ? "" : "controller";
                    case FITTED -> "fitted";
                    default -> "";
                };
        boolean points = edit.field().type().target().isPresent() && !after.isEmpty();
        return Words.say(
                said.isEmpty() ? "fix-part" : "fix-part." + said,
                Map.of(
                        "name",
                        name,
                        "after",
                        points ? named(Long.parseLong(after), names) : after));
    }
}
