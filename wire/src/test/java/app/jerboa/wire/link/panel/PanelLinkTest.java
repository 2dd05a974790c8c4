package app.jerboa.wire.link.panel;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.wire.link.SpokenStream;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.panel.PanelMessage;
import java.time.Instant;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PanelLinkTest {
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();
    private final SpokenStream stream = new SpokenStream();
    private final PanelLink link =
            new PanelLink(
                    stream,
                    new PanelMessage.SignIn("user", "a-word"),
                    timer,
                    () -> Instant.EPOCH,
                    new WireLog(10),
                    () -> {});

    @AfterEach
    void end() {
        link.close();
        timer.shutdownNow();
    }

    /** It opened while the link was made, which saw it open and is told so besides. */
    @Test
    void signsInOnceOverEachConnection() {
        stream.says("{\"signed-in\":\"L8\"}\n");
        stream.tellsOfItsOpening();
        assertThat(stream.timesSent()).isEqualTo(1);
        assertThat(link.turn("deck", 0)).isNotDone();
        stream.opens();
        assertThat(stream.timesSent()).isEqualTo(3);
        assertThat(link.turn("deck", 0)).isCompletedExceptionally();
    }

    /** The camera hangs up behind it, and the stream opens anew before anybody has looked. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"held\":\"another panel has it\"}|true|true",
                "{\"refused\":\"not let in\"}|false|true",
                "{\"signed-in\":\"L8\"}|false|false",
            })
    void whatKeptItOutIsKnownAfterTheStreamOpenedAnew(String said, boolean held, boolean out) {
        stream.says(said + "\n");
        stream.opens();
        assertThat(link.held()).isEqualTo(held);
        assertThat(link.ready()).isDone();
        assertThat(link.ready().isCompletedExceptionally()).isEqualTo(out);
    }
}
