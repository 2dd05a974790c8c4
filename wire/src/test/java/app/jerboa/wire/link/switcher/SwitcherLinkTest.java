package app.jerboa.wire.link.switcher;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.link.SpokenStream;
import app.jerboa.wire.link.WireLog;
import java.time.Instant;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SwitcherLinkTest {
    private static final ProgrammeQuestion JSON =
            new ProgrammeQuestion("{\"get\":\"state\"}", AnswerShape.of("/programme", ""), 0);

    private final AtomicLong now = new AtomicLong(1_000_000_000L);
    private final AtomicInteger changes = new AtomicInteger();
    private final WireLog log = new WireLog(10);
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();
    private final SpokenStream wire = new SpokenStream();
    private final SwitcherLink link =
            new SwitcherLink(
                    wire,
                    JSON,
                    timer,
                    now::get,
                    () -> Instant.EPOCH,
                    log,
                    changes::incrementAndGet);

    @AfterEach
    void end() {
        link.close();
        timer.shutdownNow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"programme\":3,\"preview\":1}|3",
                "{\"inputs\":{\"1\":{\"from\":\"L1\"}},\"programme\":0}|0",
                "{\"programme\":\"3\"}|3",
                "{\"programme\":2.5}|none",
                "{\"programme\":99999999999}|none",
                "{\"preview\":1}|none",
                "{\"refused\":\"not understood\"}|none",
                "hello|none",
            })
    void whatIsOnProgramme(String line, String programme) {
        wire.says(line + "\n");
        assertThat(
                        link.programme().isPresent()
                                ? Integer.toString(link.programme().getAsInt())
                                : "none")
                .isEqualTo(programme);
    }

    /** As another profile has it: by a pattern, and counted from 0. */
    @ParameterizedTest
    @CsvSource({"PGM 0, 1", "ok PGM 07 done, 8", "PVW 3, 0", "PGM x, 0", "PGM 123456, 0"})
    void anotherProfileHasAnotherAnswer(String line, int programme) {
        ProgrammeQuestion question =
                new ProgrammeQuestion("?", AnswerShape.of("", "PGM ([0-9]+)"), -1);
        assertThat(question.programme(line).orElse(0)).isEqualTo(programme);
    }

    @Test
    void aChangeIsToldOnceAndSilenceMakesItUnknown() {
        wire.says("{\"programme\":1}\n{\"programme\":1}\n{\"prog");
        assertThat(changes).hasValue(1);
        wire.says("ramme\":4}\n");
        assertThat(changes).hasValue(2);
        assertThat(link.programme()).hasValue(4);
        assertThat(log.entries())
                .extracting(WireLog.Entry::meaning)
                .contains("input 4 is on programme");
        now.addAndGet(SwitcherLink.FRESH.toNanos());
        assertThat(link.programme()).hasValue(4);
        now.addAndGet(1);
        assertThat(link.programme()).isEmpty();
        wire.says("{\"programme\":4}\n");
        assertThat(link.programme()).hasValue(4);
        assertThat(changes).as("it is the same as before").hasValue(2);
    }

    /** Half a line of a connection that ended belongs to nothing that comes over the next. */
    @Test
    void aNewConnectionBeginsAfresh() {
        wire.says("{\"programme\":");
        wire.opens();
        wire.says("{\"programme\":7}\n");
        assertThat(link.programme()).hasValue(7);
    }
}
