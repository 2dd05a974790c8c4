package app.jerboa.wire.link.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Requests that nobody answers: when they go out again, and what that costs. */
class ResendTest {
    private static final Octets ASK_ZOOM = new ViscaRequest.AskZoom().encode(1);
    private static final Octets DRIVE = new ViscaRequest.Drive(3, 0).encode(1);

    /** Counts what it is asked to do later; at once is another matter. */
    private static final class CountingTimer extends ScheduledThreadPoolExecutor {
        final AtomicInteger asked = new AtomicInteger();

        CountingTimer() {
            super(1);
        }

        @Override
        public ScheduledFuture<?> schedule(Runnable task, long delay, TimeUnit unit) {
            asked.addAndGet(delay > 0 ? 1 : 0);
            return super.schedule(task, delay, unit);
        }
    }

    /**
     * Takes all and answers nothing, but for one kind of frame that it acknowledges before it is
     * even sent; one kind it cannot take.
     */
    private final class Deaf implements Transport {
        @Override
        public void send(Octets octets, Sent sent) {
            if (octets.equals(broken)) {
                tried.incrementAndGet();
                throw new IllegalStateException("a fault of this transport");
            }
            out.add(octets);
            if (octets.equals(acknowledged)) {
                heard.accept(new ViscaReply.Ack(1).encode(1));
            }
            sent.sent(Optional.empty());
        }

        @Override
        public Subscription listen(Consumer<Octets> onOctets) {
            heard = onOctets;
            return () -> {};
        }

        @Override
        public void close() {}
    }

    private final CountingTimer timer = new CountingTimer();
    private final List<Octets> out = new CopyOnWriteArrayList<>();
    private final AtomicInteger tried = new AtomicInteger();
    private Octets broken = Octets.of();
    private Octets acknowledged = Octets.of();
    private Consumer<Octets> heard = octets -> {};

    private final ViscaLink link =
            new ViscaLink(new Deaf(), Form.RAW, timer, InstantSource.system(), new WireLog(100));

    @AfterEach
    void stop() {
        link.close();
        timer.shutdownNow();
    }

    private long times(Octets frame) {
        return out.stream().filter(frame::equals).count();
    }

    @Test
    void whatCannotBeSentKeepsNoOtherFromGoingOutAgain() {
        broken = ASK_ZOOM;
        assertThatThrownBy(() -> link.askZoom(false)).hasMessageContaining("a fault");
        var drive = link.drive(3, 0);
        await().until(drive::isCompletedExceptionally);
        assertThat(times(DRIVE)).isEqualTo(ViscaDialect.TRIES);
        assertThat(tried).as("and is tried as often itself").hasValue(ViscaDialect.TRIES);
    }

    /** However quickly its answer comes: it would say of a lost recall that it had arrived. */
    @Test
    void theAnswerToAStopIsNeverThatOfWhatItReplaces() {
        var home = link.home();
        acknowledged = ViscaRequest.Drive.STOP.encode(1);
        assertThat(link.drive(0, 0)).isCompletedWithValue(new ViscaReply.Ack(1));
        await().until(home::isDone);
        assertThatThrownBy(home::get).hasRootCauseMessage("replaced by a newer command");
    }

    @Test
    void aStickWakesTheTimerOnceAndNotForEachFrame() {
        for (int i = 0; i < 200; i++) {
            link.drive(1 + i % 20, 0);
        }
        assertThat(out).hasSize(200);
        assertThat(timer.asked).hasValueLessThan(20);
    }

    @Test
    void whatIsAskedAfterAnotherIsLookedForInItsTurn() {
        var first = link.askZoom(false);
        await().until(() -> times(ASK_ZOOM) == 2);
        var second = link.drive(3, 0);
        await().until(() -> first.isCompletedExceptionally() && second.isCompletedExceptionally());
        assertThat(times(ASK_ZOOM)).isEqualTo(ViscaDialect.TRIES);
        assertThat(times(DRIVE)).isEqualTo(ViscaDialect.TRIES);
    }

    @Test
    void aStopIsNeverGivenUp() {
        link.stop();
        Octets stop = ViscaRequest.Drive.STOP.encode(1);
        await().until(() -> times(stop) > 3L * ViscaDialect.TRIES);
        assertThat(times(ViscaRequest.Zoom.STOP.encode(1))).isGreaterThan(ViscaDialect.TRIES);
    }
}
