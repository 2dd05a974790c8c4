package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

/** While the database hangs, asking for marks neither waits nor throws, however often. */
class StoredMarksTest {
    @Test
    void aHungDatabaseRefusesMarksAndHarmsNobodyWhoAsks() throws InterruptedException {
        CountDownLatch hung = new CountDownLatch(1);
        TransactionTemplate transactions = mock(TransactionTemplate.class);
        doAnswer(
                        call -> {
                            hung.await();
                            return null;
                        })
                .when(transactions)
                .executeWithoutResult(any());
        StoredMarks marks =
                new StoredMarks(mock(DeskMapper.class), mock(Gates.class), transactions);
        CompletableFuture<Void> last = null;
        for (int i = 0; i < 2_000; i++) {
            last = marks.mark(new CameraId(1, i));
            marks.unmark(new CameraId(1, i));
        }
        assertThat(last).isCompletedExceptionally();
        assertThat(marks.isMarked(new CameraId(1, 0))).as("nothing is stored yet").isFalse();
        hung.countDown();
        marks.stop();
    }
}
