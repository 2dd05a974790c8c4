package app.jerboa.server.people;

import app.jerboa.server.platform.OpenLine;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.stereotype.Component;

/**
 * Ends what a person holds open when the session it was opened in is over, or when the person no
 * longer belongs to its job: within a second, at whatever server that happened. One question for
 * all lines of this server.
 */
@Component
class LineGuard {
    private static final Duration EVERY = Duration.ofMillis(400);

    /**
     * Whether the session of one line, by its place, goes on, and the person's part in its job.
     *
     * @param role empty for none
     */
    record Standing(int number, boolean signedIn, String role) {}

    private final OpenLines lines;
    private final MemberMapper mapper;
    private final InstantSource clock = InstantSource.system();
    private final ScheduledExecutorService loop;

    LineGuard(OpenLines lines, MemberMapper mapper) {
        this.lines = lines;
        this.mapper = mapper;
        this.loop = Threads.loop("open-lines", EVERY, this::look);
    }

    private void look() {
        List<OpenLine> open = lines.all();
        if (open.isEmpty()) {
            return;
        }
        String[] sessions = open.stream().map(OpenLine::httpSession).toArray(String[]::new);
        Long[] accounts = open.stream().map(OpenLine::account).toArray(Long[]::new);
        Long[] jobs = open.stream().map(OpenLine::job).toArray(Long[]::new);
        for (Standing now : mapper.standing(sessions, accounts, jobs, clock.millis())) {
            OpenLine line = open.get(now.number());
            long of = jobs[now.number()];
            Threads.guarded("an open line", () -> tell(line, of, now));
        }
    }

    /**
     * @param of the job that was asked about: a line that went to another one meanwhile is asked
     *     about at the next look
     */
    private void tell(OpenLine line, long of, Standing now) {
        Optional<Role> role = Role.fromWire(now.role());
        if (!now.signedIn()) {
            lines.remove(line);
            line.end(Words.say("line.signed-out"));
        } else if (of == 0 || line.job() != of) {
            return;
        } else if (role.isEmpty()) {
            lines.remove(line);
            line.end(Words.say("line.no-member"));
        } else {
            line.mayDrive(role.get().may(Right.DRIVE));
        }
    }

    @PreDestroy
    void stop() {
        loop.shutdownNow();
    }
}
