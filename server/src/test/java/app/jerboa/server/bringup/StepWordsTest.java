package app.jerboa.server.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.bringup.Action;
import app.jerboa.core.job.bringup.Caution;
import app.jerboa.core.job.bringup.Choice;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StepWordsTest {
    @Test
    void everythingThatCanBeAskedForHasItsWords() {
        for (Step.Kind kind : Step.Kind.values()) {
            for (String part : new String[] {"title", "todo", "expect"}) {
                assertThat(StepWords.step(kind.wire(), part, Map.of("device", "L1"))).isNotBlank();
            }
        }
        for (Action.Kind kind : Action.Kind.values()) {
            assertThat(StepWords.action(new Action(kind, Map.of(), "", Optional.empty())))
                    .isNotBlank();
        }
        for (Caution caution : Caution.values()) {
            assertThat(StepWords.caution(caution)).endsWith(".");
        }
        for (Choice.Reason reason : Choice.Reason.values()) {
            assertThat(StepWords.reason(reason)).endsWith(".");
        }
    }

    @Test
    void factsAreFilledInAsTheyAre() {
        assertThat(StepWords.step("plug", "title", Map.of("device", "L1 $1 \\")))
                .isEqualTo("Connect L1 $1 \\; leave what is not connected yet as it is");
    }
}
