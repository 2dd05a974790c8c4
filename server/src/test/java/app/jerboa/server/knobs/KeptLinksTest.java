package app.jerboa.server.knobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ScheduledExecutorService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** Links are kept while they are used, and let go of a while after. */
class KeptLinksTest {
    private final List<String> closed = new ArrayList<>();
    private final ScheduledExecutorService timer = mock(ScheduledExecutorService.class);
    private final ArgumentCaptor<Runnable> sweep = ArgumentCaptor.forClass(Runnable.class);
    private Instant now = Instant.EPOCH;
    private KeptLinks<String> links;

    /** One that says when it is closed. */
    private record Link(String name, List<String> closed) implements AutoCloseable {
        @Override
        public void close() {
            closed.add(name);
        }
    }

    @BeforeEach
    void open() {
        links = new KeptLinks<>(() -> now, timer);
        verify(timer).scheduleWithFixedDelay(sweep.capture(), anyLong(), anyLong(), any());
    }

    private Link get(String key) {
        return links.get(key, Link.class, () -> new Link(key, closed));
    }

    private void pass(int seconds) {
        now = now.plusSeconds(seconds);
        sweep.getValue().run();
    }

    @Test
    void oneThatIsUsedStaysAndOneThatIsNotGoes() {
        Link a = get("a");
        get("b");
        pass(15);
        assertThat(get("a")).isSameAs(a);
        pass(10);
        assertThat(closed).containsExactly("b");
        assertThat(get("a")).isSameAs(a);
        pass(21);
        assertThat(closed).containsExactly("b", "a");
        assertThat(get("a")).isNotSameAs(a);
    }

    @Test
    void whatIsDroppedIsHadAnew() {
        Link a = get("a");
        get("b");
        links.drop("a"::equals);
        assertThat(closed).containsExactly("a");
        assertThat(get("a")).isNotSameAs(a);
        links.drop(all -> true);
        assertThat(closed).containsExactlyInAnyOrder("a", "a", "b");
    }

    /** One that fails to close keeps no later sweep from closing others. */
    @Test
    void aLinkThatWillNotCloseEndsNothing() {
        links.get(
                "bad",
                AutoCloseable.class,
                () ->
                        () -> {
                            throw new IllegalStateException("no");
                        });
        get("beside");
        pass(21);
        assertThat(closed).containsExactly("beside");
        get("later");
        pass(21);
        assertThat(closed).containsExactly("beside", "later");
    }
}
