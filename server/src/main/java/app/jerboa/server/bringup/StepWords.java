package app.jerboa.server.bringup;

import app.jerboa.core.job.bringup.Action;
import app.jerboa.core.job.bringup.Caution;
import app.jerboa.core.job.bringup.Choice;
import app.jerboa.server.words.Words;
import java.util.Map;

/** The wording of steps, things to do and cautions. */
final class StepWords {
    private StepWords() {}

    /**
     * @param part title, todo or expect
     */
    static String step(String kind, String part, Map<String, String> facts) {
        return Words.say("step." + kind + "." + part, facts);
    }

    static String action(Action action) {
        return Words.say("action." + action.kind().name(), action.facts());
    }

    static String caution(Caution caution) {
        return Words.say("caution." + caution.name());
    }

    static String reason(Choice.Reason reason) {
        return Words.say("reason." + reason.name());
    }
}
