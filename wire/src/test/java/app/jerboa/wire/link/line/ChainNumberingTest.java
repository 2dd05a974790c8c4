package app.jerboa.wire.link.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.wire.link.SpokenStream;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class ChainNumberingTest {
    private static final Octets THREE_TOOK_ONE = Octets.of(0x88, 0x30, 0x04, 0xFF);

    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();
    private final SpokenStream stream = new SpokenStream();
    private final WireLog log = new WireLog(50);
    private final SharedLine line = new SharedLine(stream, 9_600, 10, 1, timer, System::nanoTime);

    @AfterEach
    void end() {
        line.close();
        timer.shutdownNow();
    }

    private List<String> said() {
        return log.entries().stream().map(WireLog.Entry::meaning).toList();
    }

    /** A serial server that is a network away connects after the first try has gone out. */
    @Test
    void aLineThatIsStillConnectingIsWaitedFor() throws Exception {
        stream.isShut("not connected yet");
        CompletableFuture<Integer> count =
                new ChainNumbering(line, timer, () -> Instant.EPOCH, log).start();
        await().until(() -> said().contains("set addresses (not sent: not connected yet)"));
        stream.opens();
        await().until(() -> said().contains("set addresses"));
        stream.says(THREE_TOOK_ONE);
        assertThat(count.get(5, TimeUnit.SECONDS)).isEqualTo(3);
    }
}
