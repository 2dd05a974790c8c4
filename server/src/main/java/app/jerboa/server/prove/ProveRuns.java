package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.job.proof.Standing;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.desk.MachineStopped;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.People;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.run.RunKind;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.run.Runs;
import app.jerboa.server.wiring.Wirings;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.NoAnswer;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Runs of tests: begun, and cleared up after. */
@Service
class ProveRuns {
    private static final Logger LOG = LoggerFactory.getLogger(ProveRuns.class);
    private static final int MOST_TESTS = 5000;
    private static final int TRIES_TO_PUT_BACK = 10;

    /** "Clear" was said then; later somebody may stand there again. */
    private static final int STILL_CLEAR_SECONDS = 120;

    private final Runs runs;
    private final ProveMapper mapper;
    private final Jobs jobs;
    private final PutBacks putBacks;
    private final MachineDesks desks;
    private final KnobHands hands;
    private final People people;
    private final Logbook log;
    private final Live live;
    private final TransactionTemplate transactions;
    private final String server;
    private final Proving.Tools tools;
    private final ExecutorService threads = Threads.many("putting-back", 1);

    ProveRuns(
            Runs runs,
            ProveMapper mapper,
            Jobs jobs,
            PutBacks putBacks,
            MachineDesks desks,
            KnobHands hands,
            People people,
            Logbook log,
            Live live,
            TransactionTemplate transactions,
            Settings settings,
            Observations observations,
            KnobTests knobTests,
            NetTests netTests,
            DeviceTests deviceTests,
            ControlTest controlTest,
            StreamTest streamTest,
            Wirings wirings) {
        this.runs = runs;
        this.mapper = mapper;
        this.jobs = jobs;
        this.putBacks = putBacks;
        this.desks = desks;
        this.hands = hands;
        this.people = people;
        this.log = log;
        this.live = live;
        this.transactions = transactions;
        this.server = settings.serverName();
        this.tools =
                new Proving.Tools(
                        jobs,
                        observations,
                        desks,
                        knobTests,
                        netTests,
                        deviceTests,
                        controlTest,
                        streamTest,
                        wirings,
                        putBacks);
    }

    Optional<RunRow> run(long job) {
        return runs.run(job, RunKind.PROVE);
    }

    List<PutBackRow> left(long job) {
        return putBacks.left(job);
    }

    /** The tests of these lines that a machine can do, those of one line together. */
    List<Proving.Test> tests(Jobs.Stored stored, List<Long> lines, List<Topic> topics) {
        List<Proving.Test> tests = new ArrayList<>();
        for (Line line : stored.job().lines()) {
            if (lines.contains(line.id())) {
                Map<Topic, Standing> all = stored.proof().tests(line);
                Topic.TESTS.stream()
                        .filter(topics::contains)
                        .filter(Proving.BY_MACHINE::contains)
                        .filter(t -> all.get(t).state() != Standing.State.NOT_APPLICABLE)
                        .forEach(t -> tests.add(new Proving.Test(line.camera().value(), t)));
            }
        }
        return tests;
    }

    /**
     * @param clear somebody at the heads said that nobody and nothing is in their way
     */
    void start(
            Jobs.Stored stored,
            List<Long> lines,
            List<Topic> topics,
            boolean clear,
            Person by,
            String httpSession) {
        start(stored, tests(stored, lines, topics), clear, by, httpSession);
    }

    /** Asks devices what they and the network tell; nothing moves. */
    void ask(Jobs.Stored stored, DeskWays ways, List<Long> devices, Person by, String httpSession) {
        start(stored, Askable.of(stored, ways, devices), false, by, httpSession);
    }

    private void start(
            Jobs.Stored stored,
            List<Proving.Test> tests,
            boolean clear,
            Person by,
            String httpSession) {
        if (tests.isEmpty() || tests.size() > MOST_TESTS) {
            throw conflict("nothing-to-prove", "prove.nothing");
        }
        if (!clear && tests.stream().anyMatch(t -> Proving.MOVING.contains(t.topic()))) {
            throw conflict("not-clear", "prove.not-clear");
        }
        long job = stored.id();
        // From here on a STOP ALL ends it, also one that is cried before its first test.
        Proving proving = new Proving(tools, job, tests, by, httpSession);
        transactions.executeWithoutResult(
                t -> {
                    log.claim(by);
                    runs.begin(job, RunKind.PROVE, by.displayName(), tests);
                    log.event(
                            job,
                            Words.say("prove.started", Map.of("count", tests.size())),
                            devices(tests),
                            by);
                    if (clear) {
                        desks.clear(job, devices(tests), by);
                    }
                });
        runs.carryOut(job, RunKind.PROVE, proving);
    }

    private static List<Long> devices(List<Proving.Test> tests) {
        return tests.stream().map(Proving.Test::device).distinct().toList();
    }

    private static Problem conflict(String code, String key) {
        return new Problem(HttpStatus.CONFLICT, code, Words.say(key));
    }

    private void tell(long job) {
        transactions.executeWithoutResult(t -> live.changed(job, Notice.PROOF));
    }

    /** Between two tests; what is under way is put back first. */
    void cancel(long job) {
        runs.cancel(job, RunKind.PROVE);
    }

    void stopAll(long job) {
        desks.stopAll(job);
    }

    /** What this server had changed when it was killed, while it is still clear there. */
    @EventListener(ApplicationReadyEvent.class)
    void clearUp() {
        List<PutBackRow> left = mapper.leftBy(server, STILL_CLEAR_SECONDS);
        if (!left.isEmpty()) {
            threads.execute(() -> Threads.guarded("putting back", () -> clearUp(left)));
        }
    }

    /**
     * A head that was left moving is stopped first, by the sweep. Where all was stopped since,
     * nothing goes back by itself.
     */
    private void clearUp(List<PutBackRow> left) {
        for (PutBackRow row : left) {
            Person by = people.loadUserByUsername(row.login());
            for (int i = 0;
                    i < TRIES_TO_PUT_BACK
                            && desks.stops(row.jobId()) <= row.stops()
                            && putBack(row, row.stops(), by).isPresent();
                    i++) {
                pause();
            }
        }
    }

    private static void pause() {
        try {
            TimeUnit.SECONDS.sleep(1);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * Everything that is left of a job, as a person wishes.
     *
     * @throws Problem that says what stays as it is, and why; the rest was put back
     */
    void putBack(long job, Person by) {
        long stops = desks.stops(job);
        List<String> stays =
                putBacks.left(job).stream()
                        .flatMap(row -> putBack(row, stops, by).stream())
                        .toList();
        if (!stays.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-put-back",
                    Words.say("prove.left-as-it-is", Map.of("what", String.join(", ", stays))));
        }
    }

    /**
     * What was left of a device that is planned no more waits for it to come back.
     *
     * @param stops how often all was stopped when it was decided: once more, and it stays as it is
     * @return what stays and why; empty when it was put back
     */
    private Optional<String> putBack(PutBackRow row, long stops, Person by) {
        Jobs.Stored stored = jobs.load(row.jobId());
        Optional<Device> planned = stored.job().device(new DeviceId(row.deviceId()));
        if (planned.isEmpty()) {
            return Optional.empty();
        }
        Device device = planned.get();
        try {
            if (row.what().equals(PutBacks.HEAD)) {
                headBack(row, stops, by);
            } else {
                knobBack(row, stored, device, by);
            }
            putBacks.done(row.jobId(), device, row.what());
            tell(row.jobId());
            return Optional.empty();
        } catch (MachineStopped | NoAnswer | KnobHands.NotTurned | Problem e) {
            LOG.info("{} was not put back: {}", device.name(), e.getMessage());
            return Optional.of(
                    Words.say(
                            "prove.stays",
                            Map.of(
                                    "device",
                                    device.name(),
                                    "what",
                                    row.what(),
                                    "why",
                                    e.getMessage())));
        }
    }

    private void headBack(PutBackRow row, long stops, Person by) {
        desks.insistNotStopped(row.jobId(), stops);
        try (MachineDesk desk = desks.take(row.jobId(), row.deviceId(), by, "")) {
            desks.insistNotStopped(row.jobId(), stops);
            new HeadTests(desk).putBack(row.value());
        }
    }

    private void knobBack(PutBackRow row, Jobs.Stored stored, Device device, Person by) {
        device.profile()
                .knob(row.what())
                .ifPresent(k -> hands.turn(stored, device, k, Integer.parseInt(row.value()), by));
    }

    @PreDestroy
    void close() {
        threads.shutdownNow();
    }
}
