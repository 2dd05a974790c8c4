package app.jerboa.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jerboa.server.platform.OpenLine;
import app.jerboa.server.platform.OpenLines;
import java.util.List;
import org.junit.jupiter.api.Test;

class LineGuardTest {
    private static final class Line implements OpenLine {
        private volatile long job;
        private volatile String ended = "";

        @Override
        public String httpSession() {
            return "session";
        }

        @Override
        public long account() {
            return 1;
        }

        @Override
        public long job() {
            return job;
        }

        @Override
        public void mayDrive(boolean may) {
            // Not what is looked at here.
        }

        @Override
        public void end(String why) {
            ended = why;
        }
    }

    /** The answer is about the line as it was when the database was asked. */
    @Test
    void aLineThatOpensItsJobWhileItIsLookedAtGoesOn() {
        OpenLines lines = new OpenLines();
        Line line = new Line();
        lines.add(line);
        MemberMapper mapper = mock(MemberMapper.class);
        when(mapper.standing(any(), any(), any(), anyLong()))
                .thenAnswer(
                        asked -> {
                            line.job = 5;
                            return List.of(new LineGuard.Standing(0, true, ""));
                        })
                .thenReturn(List.of(new LineGuard.Standing(0, true, "operator")))
                .thenReturn(List.of(new LineGuard.Standing(0, true, "operator")))
                .thenReturn(List.of(new LineGuard.Standing(0, true, "")));
        LineGuard guard = new LineGuard(lines, mapper);
        try {
            verify(mapper, timeout(5_000).atLeast(2)).standing(any(), any(), any(), anyLong());
            assertThat(line.ended).isEmpty();
            await().until(() -> line.ended.equals("you no longer belong to this job"));
        } finally {
            guard.stop();
        }
    }
}
