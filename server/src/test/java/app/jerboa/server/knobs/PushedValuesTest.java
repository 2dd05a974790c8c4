package app.jerboa.server.knobs;

import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;

import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** However many values a camera pushes, its pages are told a few times a second. */
class PushedValuesTest {
    private static final int PATIENCE_MILLIS = 10_000;

    private final Live live = mock(Live.class);
    private final PushedValues pushed = new PushedValues(live);

    @AfterEach
    void close() {
        pushed.close();
    }

    @Test
    void manyValuesAreOneWordToEachJob() {
        for (int i = 0; i < 1_000; i++) {
            pushed.heard(1);
            pushed.heard(2);
        }
        verify(live, timeout(PATIENCE_MILLIS)).changed(1, Notice.KNOBS);
        verify(live, timeout(PATIENCE_MILLIS)).changed(2, Notice.KNOBS);
        verifyNoMoreInteractions(live);
        pushed.heard(1);
        verify(live, timeout(PATIENCE_MILLIS).times(2)).changed(1, Notice.KNOBS);
    }

    /** The database is away for a moment: what comes later is told again. */
    @Test
    void aWordThatCouldNotBeSaidDoesNotSilenceTheNext() {
        doThrow(new IllegalStateException("no database")).when(live).changed(1, Notice.KNOBS);
        pushed.heard(1);
        verify(live, timeout(PATIENCE_MILLIS)).changed(1, Notice.KNOBS);
        pushed.heard(1);
        verify(live, timeout(PATIENCE_MILLIS).times(2)).changed(1, Notice.KNOBS);
        verify(live, times(2)).changed(1, Notice.KNOBS);
    }
}
