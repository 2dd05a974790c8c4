package app.jerboa.server.findings;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.ChangesBody;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.function.LongFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The wording of every finding, from {@code words/findings.properties}. */
@Component
public class FindingWords {
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)}");

    private static final int MOST_NAMED = 4;

    private final Properties words = new Properties();

    FindingWords() throws IOException {
        try (var in =
                new InputStreamReader(
                        new ClassPathResource("words/findings.properties").getInputStream(),
                        StandardCharsets.UTF_8)) {
            words.load(in);
        }
    }

    /**
     * A finding that outlived a change is the same object, and what it names is called the same: it
     * keeps its words.
     */
    private final Cache<Finding, FindingBody> worded = Caffeine.newBuilder().weakKeys().build();

    /**
     * @param names what an item is called, by its id
     */
    public FindingBody body(JobFindings.Judged judged, LongFunction<String> names) {
        FindingBody body = worded.get(judged.finding(), f -> body(f, names));
        return judged.waiver().isEmpty()
                ? body
                : body.with(
                        judged.waiver()
                                .map(
                                        w ->
                                                new FindingBody.WaiverBody(
                                                        w.id(), w.person(), w.reason())));
    }

    private FindingBody body(Finding finding, LongFunction<String> names) {
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
    String text(String code, String part, Map<String, String> facts) {
        String special = code + "." + part + "." + facts.getOrDefault("what", "");
        String template = words.getProperty(special, words.getProperty(code + "." + part));
        if (template == null) {
            return part.equals("what") ? code + ": " + facts : "";
        }
        return PLACE.matcher(template)
                .replaceAll(m -> Matcher.quoteReplacement(facts.getOrDefault(m.group(1), "")));
    }

    private FindingBody.FixBody fix(Fix fix, LongFunction<String> names) {
        List<Edit> edits = fix.changes().edits();
        List<Item> adds = fix.changes().adds();
        String what =
                edits.isEmpty() && !adds.isEmpty()
                        ? adds.stream()
                                .map(i -> i.text(Field.NAME))
                                .filter(name -> !name.isEmpty())
                                .collect(Collectors.joining(", "))
                        : edits.isEmpty()
                                ? fix.changes().removes().stream()
                                        .map(i -> names.apply(i.ref().id()))
                                        .collect(Collectors.joining(", "))
                                : edits.size() <= MOST_NAMED
                                        ? edits.stream()
                                                .filter(e -> edits.size() == 1 || !silent(e))
                                                .map(
                                                        e ->
                                                                phrase(
                                                                        e,
                                                                        names.apply(e.item().id()),
                                                                        names))
                                                .distinct()
                                                .collect(Collectors.joining(", "))
                                        : edits.size() + " changes";
        return new FindingBody.FixBody(
                words.getProperty("fix." + fix.key(), fix.key() + ": {what}")
                        .replace("{what}", what),
                ChangesBody.of(fix.changes()));
    }

    /** What goes without saying beside the other edits of a fix. */
    private static boolean silent(Edit edit) {
        return edit.field() == Field.CABLE || edit.field() == Field.CONDUCTORS;
    }

    private static String phrase(Edit edit, String name, LongFunction<String> names) {
        return switch (edit.field()) {
            case ADDRESS, GATEWAY -> name + " to " + edit.after();
            case PREFIX -> name + " to /" + edit.after();
            case NAME -> name + " to " + edit.after();
            case KEY, ALSO_KEY, PANEL_KEY ->
                    edit.after().isEmpty() ? name : name + " to key " + edit.after();
            case INPUT -> name + " to input " + edit.after();
            case CONTROL_ID -> name + " to ID " + edit.after();
            case PAN_LIMIT -> name + " to " + edit.after() + "° each way";
            case GAUGE -> name + " in AWG " + edit.after();
            case CONDUCTORS -> name + ", " + edit.after() + " on each way";
            case FROM_PORT, TO_PORT -> name + " to " + edit.after();
            case BAUD -> name + " to " + edit.after() + " baud";
            case FRAMING, SERIAL_PROTOCOL -> name + " to " + edit.after();
            case OUTGOING -> "the programme to " + edit.after() + " Mb/s";
            case CONTROLLER, ALSO, PANEL ->
                    edit.after().isEmpty()
                            ? name
                            : "on " + names.apply(Long.parseLong(edit.after()));
            case FITTED -> name + " to " + names.apply(Long.parseLong(edit.after()));
            default -> name;
        };
    }
}
