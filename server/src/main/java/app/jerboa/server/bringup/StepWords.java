package app.jerboa.server.bringup;

import app.jerboa.core.job.bringup.Action;
import app.jerboa.core.job.bringup.Caution;
import app.jerboa.core.job.bringup.Choice;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The wording of steps, things to do and cautions, from {@code words/steps.properties}. */
@Component
class StepWords {
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)}");

    private final Properties words = new Properties();

    StepWords() throws IOException {
        try (var in =
                new InputStreamReader(
                        new ClassPathResource("words/steps.properties").getInputStream(),
                        StandardCharsets.UTF_8)) {
            words.load(in);
        }
    }

    /**
     * @param part title, todo or expect
     */
    String step(String kind, String part, Map<String, String> facts) {
        return text("step." + kind + "." + part, facts);
    }

    String action(Action action) {
        return text("action." + action.kind().name(), action.facts());
    }

    String caution(Caution caution) {
        return text("caution." + caution.name(), Map.of());
    }

    String reason(Choice.Reason reason) {
        return text("reason." + reason.name(), Map.of());
    }

    private String text(String key, Map<String, String> facts) {
        String template = words.getProperty(key);
        if (template == null) {
            throw new IllegalStateException("no wording for " + key);
        }
        return PLACE.matcher(template)
                .replaceAll(m -> Matcher.quoteReplacement(facts.getOrDefault(m.group(1), "")));
    }
}
