package app.jerboa.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.octets.Octets;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import org.junit.jupiter.api.Test;

/** A browser that takes what it is told when the test says so. */
class ScreenTest {
    private static final class SlowBrowser implements Screen.Outlet {
        final List<String> got = new ArrayList<>();
        boolean broken;
        String closed = "";

        @Override
        public boolean send(String text) {
            got.add(text);
            return !broken;
        }

        @Override
        public void close(String why) {
            closed = why;
        }
    }

    private final SlowBrowser browser = new SlowBrowser();
    private final Queue<Runnable> waiting = new ArrayDeque<>();
    private final Screen screen =
            new Screen(
                    browser,
                    waiting::add,
                    m ->
                            m instanceof DeskMessages.Frames f
                                    ? f.frames().size() + " frames, " + f.leftOut() + " left out"
                                    : m instanceof DeskMessages.Position p
                                            ? "at " + p.panCounts()
                                            : m.toString());

    private static DeskMessages.Position at(int counts) {
        return new DeskMessages.Position(
                "position",
                1,
                0,
                0,
                0,
                0,
                counts,
                0,
                0,
                Optional.empty(),
                Optional.empty(),
                0,
                0,
                0,
                0,
                0);
    }

    private static WireLog.Entry frame() {
        return new WireLog.Entry(
                Instant.EPOCH,
                0,
                WireLog.Direction.SENT,
                Octets.of(1),
                () -> "",
                Optional.empty(),
                false);
    }

    private void browserTakesAll() {
        while (!waiting.isEmpty()) {
            waiting.remove().run();
        }
    }

    @Test
    void aSlowBrowserLosesFramesAndOldPositionsButNoWord() {
        screen.tell("first");
        for (int i = 0; i < 1_000; i++) {
            screen.note(frame());
            screen.show(at(i));
        }
        screen.showNoted();
        screen.tell("second");
        browserTakesAll();
        assertThat(browser.got)
                .containsExactly("first", "second", "12 frames, 988 left out", "at 999");
    }

    @Test
    void whatWasLeftOutIsCountedOnce() {
        for (int frames : new int[] {13, 1}) {
            for (int i = 0; i < frames; i++) {
                screen.note(frame());
            }
            screen.showNoted();
            browserTakesAll();
        }
        assertThat(browser.got).containsExactly("12 frames, 1 left out", "1 frames, 0 left out");
    }

    @Test
    void aBrowserThatTakesNothingIsGivenUp() {
        for (int i = 0; i < Screen.MOST_WORDS + 2; i++) {
            screen.tell(i);
        }
        browserTakesAll();
        assertThat(browser.closed).isNotEmpty();
        assertThat(browser.got).isEmpty();
    }

    @Test
    void aBrokenWayIsNotTriedAgain() {
        browser.broken = true;
        screen.tell("lost");
        browserTakesAll();
        screen.tell("never sent");
        browserTakesAll();
        assertThat(browser.got).containsExactly("lost");
        assertThat(browser.closed).isNotEmpty();
    }

    /** A desk that goes on without a word would keep back that its head was not seen stopped. */
    @Test
    void whatCannotBeSaidEndsThePage() {
        Screen dumb =
                new Screen(
                        browser,
                        waiting::add,
                        m -> {
                            throw new IllegalStateException("no words");
                        });
        dumb.tell("unsayable");
        assertThatThrownBy(this::browserTakesAll).hasMessage("no words");
        browserTakesAll();
        assertThat(browser.closed).isEqualTo("this page could not be told");
    }
}
