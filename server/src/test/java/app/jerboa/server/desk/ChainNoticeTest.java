package app.jerboa.server.desk;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChainNoticeTest {
    /** A line that chatters for so many seconds, ten times each. */
    @ParameterizedTest
    @CsvSource({"0, 1", "29, 1", "30, 2", "61, 3"})
    void aChangeIsToldSeldom(int seconds, int told) {
        Screen screen = mock();
        AtomicLong clock = new AtomicLong(-5);
        ChainNotice notice = new ChainNotice(screen, 7, clock::get);
        for (int i = 0; i <= 10 * seconds; i++) {
            notice.run();
            clock.addAndGet(TimeUnit.MILLISECONDS.toNanos(100));
        }
        verify(screen, times(told)).tell(any());
    }
}
