package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.bringup.Hall;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.rig.RigHands;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Worlds;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries a run sheet out: one step at a time, resumed anywhere, since every step done is stored;
 * what is left is planned anew whenever something turns out different.
 */
@Service
class BringUps {
    private final BringUpMapper mapper;
    private final Jobs jobs;
    private final BringUpPlans plans;
    private final BringUpViews views;
    private final Observations observations;
    private final Logbook log;
    private final StepCheck checks;
    private final OpenBringUp open;
    private final DoneSteps doneSteps;
    private final RigHands hands;
    private final Worlds worlds;
    private final TransactionTemplate transactions;

    BringUps(
            BringUpMapper mapper,
            Jobs jobs,
            BringUpPlans plans,
            BringUpViews views,
            Observations observations,
            Logbook log,
            StepCheck checks,
            OpenBringUp open,
            DoneSteps doneSteps,
            RigHands hands,
            Worlds worlds,
            TransactionTemplate transactions) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.plans = plans;
        this.views = views;
        this.observations = observations;
        this.log = log;
        this.checks = checks;
        this.open = open;
        this.doneSteps = doneSteps;
        this.hands = hands;
        this.worlds = worlds;
        this.transactions = transactions;
    }

    /** Outside any transaction: the hall is asked for its clock and its lights. */
    BringUpView view(long job) {
        Jobs.Stored stored = jobs.load(job);
        Optional<BringUpRow> run = mapper.open(job);
        return views.view(stored, run, run.map(r -> mapper.steps(r.id())).orElse(List.of()));
    }

    MethodsView methods(long job, boolean workshop) {
        return views.methods(jobs.load(job), workshop);
    }

    /**
     * @param method none for the recommended one; of no meaning when one is under way
     */
    ResponseEntity<byte[]> sheet(long job, Optional<BringUpMethod> method, boolean workshop) {
        Jobs.Stored stored = jobs.load(job);
        Optional<BringUpRow> run = mapper.open(job);
        Hall hall = Hall.of(stored.job());
        List<StepRow> rows =
                run.map(r -> mapper.steps(r.id()))
                        .orElseGet(
                                () -> {
                                    insistOnSoundPlan(stored, hall);
                                    BringUpMethod how = how(stored, hall, method, workshop);
                                    return StepRow.of(
                                            plans.steps(
                                                    stored, hall, how, workshop, Map.of(),
                                                    Set.of()),
                                            1);
                                });
        String name = stored.job().name();
        return Download.of(
                "application/pdf",
                Download.name(name, "run-sheet.pdf"),
                RunSheetPdf.of(
                        name + ": run sheet", views.head(stored, rows), views.print(stored, rows)));
    }

    private BringUpMethod how(
            Jobs.Stored stored, Hall hall, Optional<BringUpMethod> method, boolean workshop) {
        return method.orElseGet(() -> plans.choice(stored, hall, workshop).recommended().method());
    }

    /**
     * @param method none for the recommended one
     */
    BringUpView start(long job, Optional<BringUpMethod> method, boolean workshop, Author by) {
        Instant now = worldNow(job);
        transactions.executeWithoutResult(t -> begin(job, method, workshop, now, by));
        return view(job);
    }

    private void begin(
            long job, Optional<BringUpMethod> method, boolean workshop, Instant now, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        Hall hall = Hall.of(stored.job());
        insistOnSoundPlan(stored, hall);
        BringUpMethod how = how(stored, hall, method, workshop);
        List<Step> steps = plans.steps(stored, hall, how, workshop, Map.of(), Set.of());
        if (steps.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "nothing-to-bring-up",
                    Words.say("refused.nothing-to-bring-up"));
        }
        mapper.close(job);
        long run = mapper.insertRun(job, how.wire(), workshop, by.displayName(), at(now));
        mapper.insertSteps(run, StepRow.of(steps, 1));
        log.event(
                job,
                Words.say(
                        workshop ? "logged.bring-up-workshop" : "logged.bring-up-on-site",
                        Map.of("steps", steps.size(), "method", how.wire())),
                List.of(),
                by);
    }

    private void insistOnSoundPlan(Jobs.Stored stored, Hall hall) {
        List<String> blocked = plans.blockedBy(stored, hall);
        if (!blocked.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "plan-stopped",
                    Words.say("refused.plan-faults", Map.of("faults", String.join(" ", blocked))));
        }
    }

    BringUpView end(long job, Author by) {
        transactions.executeWithoutResult(
                t -> {
                    log.claim(by);
                    jobs.lock(job);
                    open.need(job);
                    mapper.close(job);
                    log.event(job, Words.say("logged.bring-up-ended"), List.of(), by);
                });
        return view(job);
    }

    /** Plans what is left anew: what is done stays done, and devices put aside come again. */
    BringUpView replan(long job, Author by) {
        Instant now = worldNow(job);
        transactions.executeWithoutResult(
                t -> {
                    log.claim(by);
                    Jobs.Stored stored = jobs.lock(job);
                    BringUpRow run = open.need(job);
                    insistOnSoundPlan(stored, Hall.of(stored.job()));
                    mapper.clearAside(run.id());
                    replan(stored, run, Set.of(), now);
                    log.event(job, Words.say("logged.bring-up-anew"), List.of(), by);
                });
        return view(job);
    }

    private void replan(Jobs.Stored stored, BringUpRow run, Set<DeviceId> aside, Instant now) {
        List<StepRow> rows = mapper.steps(run.id());
        Resuming resuming = new Resuming(rows);
        List<Step> all =
                plans.steps(
                        stored,
                        Hall.of(stored.job()),
                        run.how(),
                        run.workshop(),
                        resuming.progress(now),
                        aside);
        List<Step> rest =
                resuming.rest(all, stored.laptopHome(), d -> stored.job().device(d).isPresent());
        int next = 1 + (int) rows.stream().filter(StepRow::done).count();
        mapper.dropUndone(run.id());
        if (!rest.isEmpty()) {
            mapper.insertSteps(run.id(), StepRow.of(rest, next));
        }
    }

    /** Carries out the current step in the simulated hall. */
    BringUpView act(long job, int number) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = open.current(job, number);
        OpenBringUp.insistOnDevice(stored, row);
        hands.act(stored, row.toStep());
        return view(job);
    }

    /** Asks whether the current step is done, and if so stores it with its evidence. */
    BringUpView.Outcome check(long job, int number, Author by) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = open.current(job, number);
        OpenBringUp.insistOnDevice(stored, row);
        StepCheck.Result result = checks.check(stored, row.toStep());
        if (result.done()) {
            Instant now = worldNow(job);
            transactions.executeWithoutResult(
                    t -> {
                        log.claim(by);
                        Jobs.Stored locked = jobs.lock(job);
                        doneSteps.finish(locked, open.current(job, number), result, now, by);
                    });
        }
        return new BringUpView.Outcome(result.done(), result.saw(), result.next(), view(job));
    }

    /**
     * Something else was seen than the step expects. With the address it was seen at, the rest is
     * planned from there.
     */
    BringUpView differs(long job, int number, String saw, Optional<Ipv4> at, Author by) {
        Instant now = worldNow(job);
        transactions.executeWithoutResult(t -> noteDiffering(job, number, saw, at, now, by));
        return view(job);
    }

    private void noteDiffering(
            long job, int number, String saw, Optional<Ipv4> at, Instant now, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        StepRow row = open.current(job, number);
        OpenBringUp.insistOnDevice(stored, row);
        Device device = concerned(stored, row);
        doneSteps.differs(stored, row, saw, now);
        String text = Words.say("logged.differs", Map.of("device", device.name(), "saw", saw));
        if (at.isPresent()) {
            observations.add(
                    job,
                    List.of(Observations.address(device, at.get(), Evidence.SEEN, saw)),
                    text + " (seen)",
                    by);
        } else {
            log.event(job, text, List.of(row.deviceId()), by);
        }
        replan(jobs.load(job), open.need(job), open.need(job).asideIds(), now);
    }

    /** It did not work: the device is put aside with what was seen, and the others go on. */
    BringUpView putAside(long job, int number, String saw, Author by) {
        Instant now = worldNow(job);
        transactions.executeWithoutResult(t -> notePutAside(job, number, saw, now, by));
        return view(job);
    }

    private void notePutAside(long job, int number, String saw, Instant now, Author by) {
        log.claim(by);
        Jobs.Stored stored = jobs.lock(job);
        StepRow row = open.current(job, number);
        Device device = concerned(stored, row);
        BringUpRow run = open.need(job);
        mapper.putAside(run.id(), device.id().value());
        log.event(
                job,
                Words.say(
                        "logged.put-aside",
                        Map.of("device", device.name(), "step", row.kind(), "saw", saw)),
                List.of(row.deviceId()),
                by);
        replan(stored, run, open.need(job).asideIds(), now);
    }

    private static Device concerned(Jobs.Stored stored, StepRow row) {
        if (row.deviceId() == 0) {
            throw new Problem(HttpStatus.CONFLICT, "no-device", Words.say("refused.about-laptop"));
        }
        return stored.need(row.deviceId());
    }

    private Instant worldNow(long job) {
        return worlds.of(job).time().now();
    }

    private static OffsetDateTime at(Instant instant) {
        return OffsetDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
