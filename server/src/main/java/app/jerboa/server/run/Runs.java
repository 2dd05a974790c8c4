package app.jerboa.server.run;

import app.jerboa.server.live.Live;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** The runs of this server: begun, watched, cancelled, ended. */
@Service
public class Runs {
    private static final int AT_ONCE = 8;

    private final RunMapper mapper;
    private final Live live;
    private final JsonMapper json;
    private final TransactionTemplate transactions;
    private final String server;
    private final Map<RunKey, MachineRun> running = new ConcurrentHashMap<>();
    private final ExecutorService threads = Threads.many("run", AT_ONCE);

    Runs(
            RunMapper mapper,
            Live live,
            JsonMapper json,
            TransactionTemplate transactions,
            Settings settings) {
        this.mapper = mapper;
        this.live = live;
        this.json = json;
        this.transactions = transactions;
        this.server = settings.serverName();
    }

    /** The last of its kind, over or not. */
    public Optional<RunRow> run(long job, RunKind kind) {
        return mapper.run(job, kind.wire());
    }

    /**
     * Takes the place of the run before, in the transaction of whoever begins it.
     *
     * @throws Problem when one is under way
     */
    public void begin(long job, RunKind kind, String person, List<?> tasks) {
        String list = json.writeValueAsString(tasks);
        if (mapper.begin(job, kind.wire(), server, person, list) == 0) {
            throw conflict("running");
        }
    }

    /** What was begun is carried out. */
    public void carryOut(long job, RunKind kind, MachineRun run) {
        RunKey key = new RunKey(job, kind.wire());
        running.put(key, run);
        try {
            threads.execute(() -> Threads.guarded("a run", () -> toItsEnd(key, run)));
        } catch (RejectedExecutionException full) {
            running.remove(key);
            mapper.end(job, kind.wire(), "stopped", Words.say("run.too-many"));
            throw conflict("too-many");
        }
    }

    private static Problem conflict(String code) {
        return new Problem(HttpStatus.CONFLICT, code, Words.say("run." + code));
    }

    private void toItsEnd(RunKey key, MachineRun run) {
        MachineRun.End end = MachineRun.End.stopped(Words.say("run.broke"));
        try {
            end = run.run(new Stored(key));
        } finally {
            running.remove(key, run);
            mapper.end(key.jobId(), key.kind(), end.state(), end.why());
            tell(key);
        }
    }

    /** Progress goes into the table, where every server reads it. */
    private final class Stored implements MachineRun.Progress {
        private final RunKey key;

        Stored(RunKey key) {
            this.key = key;
        }

        @Override
        public void now(int done, String doing) {
            mapper.doing(key.jobId(), key.kind(), done, doing);
            tell(key);
        }

        @Override
        public void found(Object result) {
            mapper.result(key.jobId(), key.kind(), json.writeValueAsString(result));
        }
    }

    private void tell(RunKey key) {
        String part = RunKind.of(key).part();
        transactions.executeWithoutResult(t -> live.changed(key.jobId(), part));
    }

    public void cancel(long job, RunKind kind) {
        mapper.cancel(job, kind.wire());
        Optional.ofNullable(running.get(new RunKey(job, kind.wire())))
                .ifPresent(MachineRun::cancel);
    }

    @Scheduled(fixedDelay = 2000)
    void beat() {
        if (!running.isEmpty()) {
            mapper.beat(server);
            mapper.cancelled(server)
                    .forEach(
                            k -> Optional.ofNullable(running.get(k)).ifPresent(MachineRun::cancel));
        }
    }

    /** Runs that were under way when this server was killed are over. */
    @EventListener(ApplicationReadyEvent.class)
    void clearUp() {
        mapper.endOf(server, Words.say("run.killed"));
    }

    @PreDestroy
    void close() {
        running.values().forEach(MachineRun::cancel);
        threads.shutdownNow();
    }
}
