package app.jerboa.server.tally;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.server.knobs.TallyFetch;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.link.switcher.ProgrammeQuestion;
import app.jerboa.wire.link.switcher.SwitcherLink;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Asked once with each look, never waited for, and old when it is silent. */
class AskedEarTest {
    private final ProgrammeQuestion question =
            new ProgrammeQuestion("", AnswerShape.of("/on", ""), 0);
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final AtomicInteger changes = new AtomicInteger();
    private String answer = "{\"on\":4}";
    private boolean busy;
    private long now = 1;
    private final AskedEar ear =
            new AskedEar(question, this::ask, this::later, () -> now, changes::incrementAndGet);

    private String ask() {
        if (answer.isEmpty()) {
            throw new TallyFetch.NotSaid(new IOException("silent"));
        }
        return answer;
    }

    private void later(Runnable task) {
        if (busy) {
            throw new RejectedExecutionException();
        }
        waiting.add(task);
    }

    private void answered() {
        waiting.remove().run();
    }

    @Test
    void isAskedOnceAtATimeAndToldOfAChangeOnce() {
        assertThat(ear.programme()).isEmpty();
        assertThat(ear.programme()).isEmpty();
        assertThat(waiting).as("one question is on its way").hasSize(1);
        answered();
        assertThat(ear.programme()).hasValue(4);
        answered();
        assertThat(changes).hasValue(1);
        answer = "{\"on\":2}";
        ear.programme();
        answered();
        assertThat(changes).hasValue(2);
        assertThat(ear.programme()).hasValue(2);
    }

    @Test
    void whatItSaidGrowsOldAndComesBack() {
        ear.programme();
        answered();
        answer = "";
        now += SwitcherLink.FRESH.toNanos();
        assertThat(ear.programme()).hasValue(4);
        answered();
        now += 1;
        assertThat(ear.programme()).isEmpty();
        answer = "{\"on\":4}";
        answered();
        assertThat(ear.programme()).hasValue(4);
        assertThat(changes).as("it is the same as before").hasValue(1);
    }

    @Test
    void aBusyServerAsksAgainWithTheNextLook() {
        busy = true;
        assertThat(ear.programme()).isEmpty();
        busy = false;
        ear.programme();
        answered();
        assertThat(ear.programme()).hasValue(4);
        ear.close();
        answer = "{\"on\":9}";
        answered();
        assertThat(ear.programme()).as("closed: no news").hasValue(4);
        assertThat(waiting).isEmpty();
    }
}
