package app.jerboa.server.shot;

import app.jerboa.core.job.PlannedTake;
import app.jerboa.core.job.shot.ShotPlan;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.run.RunKind;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.run.Runs;
import app.jerboa.server.shot.ShotBodies.SentCamera;
import app.jerboa.server.shot.ShotBodies.ShotRunBody;
import app.jerboa.server.words.Words;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Shot lists that are run by hand: whoever runs one says what is on air, and the cameras of the
 * takes to come are sent ahead. One for each job.
 */
@Service
class ShotRuns {
    private static final TypeReference<List<SentCamera>> SENT = new TypeReference<>() {};
    private static final int MOST_SENT_AT_ONCE = 64;

    private final Runs runs;
    private final ShotRunMapper mapper;
    private final MachineDesks desks;
    private final Jobs jobs;
    private final Logbook log;
    private final JsonMapper json;
    private final TransactionTemplate transactions;
    private final ExecutorService sending = Threads.many("shot-sending", MOST_SENT_AT_ONCE);

    ShotRuns(
            Runs runs,
            ShotRunMapper mapper,
            MachineDesks desks,
            Jobs jobs,
            Logbook log,
            JsonMapper json,
            TransactionTemplate transactions) {
        this.runs = runs;
        this.mapper = mapper;
        this.desks = desks;
        this.jobs = jobs;
        this.log = log;
        this.json = json;
        this.transactions = transactions;
    }

    ShotRunBody view(long job, Person asks) {
        Optional<RunRow> run = runs.run(job, RunKind.SHOTS);
        Optional<ShotRunRow> row = mapper.row(job);
        Optional<Long> onAir = row.map(ShotRunRow::atTake).flatMap(t -> shownBy(job, t));
        return new ShotRunBody(
                run.map(RunRow::stateNow).orElse("none"),
                run.map(RunRow::person).orElse(""),
                run.filter(r -> r.person().equals(asks.displayName())).isPresent(),
                run.map(RunRow::why).orElse(""),
                row.map(ShotRunRow::listId).orElse(0L),
                row.map(ShotRunRow::atTake),
                row.map(ShotRunRow::nextTake),
                row.map(ShotRunRow::elapsed).orElse(0.0),
                onAir,
                onAir.filter(d -> desks.onAir(job, d)).isPresent(),
                sent(run));
    }

    private List<SentCamera> sent(Optional<RunRow> run) {
        return run.map(r -> json.readValue(r.result(), SENT)).orElse(List.of());
    }

    private Optional<Long> shownBy(long job, long take) {
        return jobs.load(job).job().takes().stream()
                .filter(t -> t.id() == take)
                .map(t -> t.camera().value())
                .findFirst();
    }

    void begin(
            Jobs.Stored stored,
            long list,
            ShotController.RunStart start,
            Person by,
            String httpSession) {
        ShotPlan plan = plan(stored, list);
        if (plan.takes().isEmpty()) {
            throw conflict("no-takes", "shot.no-takes");
        }
        if (!start.clear()) {
            throw conflict("not-clear", "shot.not-clear");
        }
        long first = start.from().orElse(plan.takes().get(0).take().id());
        insistOn(plan, first);
        long job = stored.id();
        ShotRunning running =
                new ShotRunning(
                        new ShotRunning.Tools(jobs, desks, mapper, sending),
                        job,
                        list,
                        by,
                        httpSession);
        transactions.executeWithoutResult(
                t -> {
                    runs.begin(job, RunKind.SHOTS, by.displayName(), List.of());
                    mapper.begin(job, list, first);
                    log.event(
                            job,
                            Words.say("shot.begun", Map.of("list", plan.shots().name())),
                            cameras(plan),
                            by);
                    desks.clear(job, cameras(plan), by);
                });
        runs.carryOut(job, RunKind.SHOTS, running);
    }

    private static List<Long> cameras(ShotPlan plan) {
        return plan.takes().stream().map(p -> p.take().camera().value()).distinct().toList();
    }

    private static ShotPlan plan(Jobs.Stored stored, long list) {
        return ShotPlan.of(stored.job()).stream()
                .filter(p -> p.shots().id() == list)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("shot list"));
    }

    private static void insistOn(ShotPlan plan, long take) {
        if (plan.takes().stream().noneMatch(p -> p.take().id() == take)) {
            throw Problem.notFound("take");
        }
    }

    /** The run, while it is under way. */
    private ShotRunRow running(long job) {
        if (runs.run(job, RunKind.SHOTS).filter(r -> r.stateNow().equals("running")).isEmpty()) {
            throw conflict("not-running", "shot.not-running");
        }
        return mapper.row(job).orElseThrow();
    }

    void next(Jobs.Stored stored, ShotController.RunStep step, Person by) {
        ShotRunRow row = running(stored.id());
        ShotPlan plan = plan(stored, row.listId());
        long wanted =
                step.expected().orElseThrow(() -> conflict("no-more-takes", "shot.no-more-takes"));
        insistOn(plan, wanted);
        PlannedTake take = take(plan, wanted);
        if (!step.anyway()) {
            insistThere(stored.id(), plan.number(take), take.camera());
        }
        Long after = beside(plan, wanted, 1);
        transactions.executeWithoutResult(
                t -> {
                    if (mapper.cut(stored.id(), wanted, wanted, after) == 0) {
                        throw conflict("went-on", "shot.went-on");
                    }
                    desks.cut(
                            stored.id(),
                            take.camera().value(),
                            cameras(plan).stream().filter(c -> c != take.camera().value()).toList(),
                            Words.say(
                                    "shot.cut",
                                    Map.of(
                                            "list",
                                            plan.shots().name(),
                                            "take",
                                            plan.number(take),
                                            "camera",
                                            stored.need(take.camera().value()).name())),
                            by);
                });
    }

    /** A camera that still moves is not shown without a second thought. */
    private void insistThere(long job, int number, DeviceId camera) {
        sent(runs.run(job, RunKind.SHOTS)).stream()
                .filter(s -> s.device() == camera.value() && s.take() == number)
                .filter(s -> !s.state().equals("there"))
                .findFirst()
                .ifPresent(
                        s -> {
                            throw new Problem(HttpStatus.CONFLICT, "not-there", s.words());
                        });
    }

    private static PlannedTake take(ShotPlan plan, long id) {
        return plan.takes().stream()
                .map(ShotPlan.Planned::take)
                .filter(t -> t.id() == id)
                .findFirst()
                .orElseThrow();
    }

    /** Null beyond the ends. */
    private static Long beside(ShotPlan plan, long take, int by) {
        int at = plan.number(take(plan, take)) - 1 + by;
        return at < 0 || at >= plan.takes().size() ? null : plan.takes().get(at).take().id();
    }

    /**
     * @param by 1 leaves out the take that is up next, -1 takes the one before it instead
     */
    void move(Jobs.Stored stored, ShotController.RunStep step, int by) {
        ShotRunRow row = running(stored.id());
        ShotPlan plan = plan(stored, row.listId());
        Long expected = step.expected().orElse(null);
        Long to =
                expected != null
                        ? beside(plan, expected, by)
                        : by < 0 ? plan.takes().get(plan.takes().size() - 1).take().id() : null;
        if (to == null && by < 0 || expected == null && by > 0) {
            throw conflict("no-more-takes", "shot.no-more-takes");
        }
        if (mapper.upNext(stored.id(), expected, to) == 0) {
            throw conflict("went-on", "shot.went-on");
        }
    }

    void again(long job) {
        running(job);
        if (mapper.again(job) == 0) {
            throw conflict("not-running", "shot.nothing-on-air");
        }
    }

    /** Only the page of whoever began it counts. */
    void here(long job, Person by) {
        if (runs.run(job, RunKind.SHOTS)
                .filter(r -> Objects.equals(r.person(), by.displayName()))
                .isPresent()) {
            mapper.here(job);
        }
    }

    void end(long job) {
        runs.cancel(job, RunKind.SHOTS);
    }

    private static Problem conflict(String code, String key) {
        return new Problem(HttpStatus.CONFLICT, code, Words.say(key));
    }

    @PreDestroy
    void close() {
        sending.shutdownNow();
    }
}
