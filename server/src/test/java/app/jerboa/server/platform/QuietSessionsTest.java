package app.jerboa.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;

/** How often the store is asked and written. */
class QuietSessionsTest {
    @SuppressWarnings("unchecked")
    private final FindByIndexNameSessionRepository<MapSession> store =
            mock(FindByIndexNameSessionRepository.class);

    private final QuietSessions<MapSession> sessions = new QuietSessions<>(store);
    private final MapSession session = new MapSession("one");

    @BeforeEach
    void stored() {
        when(store.findById("one")).thenReturn(session);
    }

    private void request(Instant at) {
        QuietSessions.Quiet<MapSession> found = sessions.findById("one");
        found.setLastAccessedTime(at);
        sessions.save(found);
    }

    @Test
    void aHundredRequestsReadOnceAndWriteNothing() {
        Instant now = session.getLastAccessedTime();
        for (int i = 0; i < 100; i++) {
            request(now.plusMillis(i));
        }
        verify(store, times(1)).findById("one");
        verify(store, never()).save(any());
    }

    @Test
    void itIsTouchedOnceAMinute() {
        Instant now = session.getLastAccessedTime();
        for (int seconds = 0; seconds <= 185; seconds += 5) {
            request(now.plusSeconds(seconds));
        }
        verify(store, times(2)).save(session);
    }

    @Test
    void whatIsChangedIsStoredAtOnceAndReadAnew() {
        QuietSessions.Quiet<MapSession> found = sessions.findById("one");
        found.setAttribute("who", "asha");
        sessions.save(found);
        verify(store).save(session);
        sessions.findById("one");
        verify(store, times(2)).findById("one");
    }

    @Test
    void whatWasEndedIsGoneAtOnce() {
        sessions.findById("one");
        sessions.deleteById("one");
        when(store.findById("one")).thenReturn(null);
        assertThat(sessions.findById("one")).isNull();
    }
}
