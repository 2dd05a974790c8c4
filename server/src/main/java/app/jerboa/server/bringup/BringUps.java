package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.bringup.Hall;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.Done;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.rig.RigHands;
import app.jerboa.server.world.Worlds;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
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
    /** Of one look, so that a plan that ticks itself over and over ends. */
    private static final int MOST_TICKS = 20;

    private final BringUpMapper mapper;
    private final Jobs jobs;
    private final BringUpPlans plans;
    private final BringUpViews views;
    private final Observations observations;
    private final Logbook log;
    private final Live live;
    private final StepCheck checks;
    private final Watching watching;
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
            Live live,
            StepCheck checks,
            Watching watching,
            RigHands hands,
            Worlds worlds,
            TransactionTemplate transactions) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.plans = plans;
        this.views = views;
        this.observations = observations;
        this.log = log;
        this.live = live;
        this.checks = checks;
        this.watching = watching;
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
                    "Every device is set already: there is nothing to bring up.");
        }
        mapper.close(job);
        long run = mapper.insertRun(job, how.wire(), workshop, by.displayName(), at(now));
        mapper.insertSteps(run, StepRow.of(steps, 1));
        log.event(
                job,
                "Bring-up started: "
                        + steps.size()
                        + " steps, method "
                        + how.wire()
                        + place(workshop),
                List.of(),
                by);
    }

    private static String place(boolean workshop) {
        return workshop ? ", in the workshop" : ", on site";
    }

    private void insistOnSoundPlan(Jobs.Stored stored, Hall hall) {
        List<String> blocked = plans.blockedBy(stored, hall);
        if (!blocked.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "plan-stopped",
                    "The address plan has faults that would be carried into the devices. Clear them on the Addresses page first: "
                            + String.join(" ", blocked));
        }
    }

    BringUpView end(long job, Author by) {
        transactions.executeWithoutResult(
                t -> {
                    log.claim(by);
                    jobs.lock(job);
                    open(job);
                    mapper.close(job);
                    log.event(job, "Bring-up ended", List.of(), by);
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
                    BringUpRow run = open(job);
                    insistOnSoundPlan(stored, Hall.of(stored.job()));
                    mapper.clearAside(run.id());
                    replan(stored, run, Set.of(), now);
                    log.event(job, "The rest of the bring-up was planned anew", List.of(), by);
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
        List<Step> rest = resuming.rest(all, stored.laptopHome());
        int next = 1 + (int) rows.stream().filter(StepRow::done).count();
        mapper.dropUndone(run.id());
        if (!rest.isEmpty()) {
            mapper.insertSteps(run.id(), StepRow.of(rest, next));
        }
    }

    /** Carries out the current step in the simulated hall. */
    BringUpView act(long job, int number) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = current(job, number);
        insistOnDevice(stored, row);
        hands.act(stored, row.toStep());
        return view(job);
    }

    /** Asks whether the current step is done, and if so stores it with its evidence. */
    BringUpView.Outcome check(long job, int number, Author by) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = current(job, number);
        insistOnDevice(stored, row);
        StepCheck.Result result = checks.check(stored, row.toStep());
        if (result.done()) {
            Instant now = worldNow(job);
            transactions.executeWithoutResult(
                    t -> {
                        log.claim(by);
                        Jobs.Stored locked = jobs.lock(job);
                        finish(locked, current(job, number), result, now, by);
                    });
        }
        return new BringUpView.Outcome(result.done(), result.saw(), result.next(), view(job));
    }

    /**
     * Ticks what the network shows by itself: the current step, as often as the next one shows too,
     * and every device that answers at its planned address already.
     */
    void watch(long job) {
        boolean more = true;
        for (int i = 0; more && i < MOST_TICKS; i++) {
            more = watchCurrent(job);
        }
        Jobs.Stored stored = jobs.load(job);
        mapper.open(job)
                .map(r -> mapper.steps(r.id()))
                .ifPresent(rows -> new Resuming(rows).unverified().forEach(r -> see(stored, r)));
    }

    private boolean watchCurrent(long job) {
        Jobs.Stored stored = jobs.load(job);
        return mapper.open(job)
                .flatMap(r -> mapper.steps(r.id()).stream().filter(s -> !s.done()).findFirst())
                .filter(row -> see(stored, row))
                .isPresent();
    }

    /** Whether the step was seen to be done, and is ticked now. */
    private boolean see(Jobs.Stored stored, StepRow row) {
        Step step = row.toStep();
        if (step.device().isPresent() && stored.job().device(step.device().get()).isEmpty()) {
            return false;
        }
        Instant now = worldNow(stored.id());
        Optional<StepCheck.Result> seen =
                watching.see(stored, step, over(mapper.steps(open(stored.id()).id()), row, now));
        seen.ifPresent(
                result ->
                        transactions.executeWithoutResult(
                                t -> tick(jobs.lock(stored.id()), row, result, now)));
        return seen.isPresent();
    }

    private static boolean over(List<StepRow> rows, StepRow row, Instant now) {
        return rows.stream()
                .filter(r -> r.deviceId() == row.deviceId() && r.bootOverAt() != null)
                .noneMatch(r -> r.bootOverAt().toInstant().isAfter(now));
    }

    /** Somebody may have done it, or planned anew, while the network was asked. */
    private void tick(Jobs.Stored stored, StepRow row, StepCheck.Result result, Instant now) {
        boolean still =
                mapper.open(stored.id()).stream()
                        .flatMap(r -> mapper.steps(r.id()).stream())
                        .anyMatch(
                                s ->
                                        !s.done()
                                                && s.number() == row.number()
                                                && s.kind().equals(row.kind())
                                                && s.deviceId() == row.deviceId());
        if (still) {
            finish(stored, row, result, now, Author.WATCH);
        }
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
        StepRow row = current(job, number);
        insistOnDevice(stored, row);
        Device device = concerned(stored, row);
        write(stored, row, new StepCheck.Result(true, "seen", saw, ""), true, now);
        String text = device.name() + " differs from the plan: " + saw;
        if (at.isPresent()) {
            observations.add(
                    job,
                    List.of(Observations.address(device, at.get(), Evidence.SEEN, saw)),
                    text + " (seen)",
                    by);
        } else {
            log.event(job, text, List.of(row.deviceId()), by);
        }
        replan(jobs.load(job), open(job), open(job).asideIds(), now);
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
        StepRow row = current(job, number);
        Device device = concerned(stored, row);
        BringUpRow run = open(job);
        mapper.putAside(run.id(), device.id().value());
        log.event(
                job,
                device.name() + " put aside at step \"" + row.kind() + "\": " + saw,
                List.of(row.deviceId()),
                by);
        replan(stored, run, open(job).asideIds(), now);
    }

    private static Device concerned(Jobs.Stored stored, StepRow row) {
        if (row.deviceId() == 0) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-device",
                    "This step is about the laptop, not about a device. Set its address and check again.");
        }
        return stored.need(row.deviceId());
    }

    private BringUpRow open(long job) {
        return mapper.open(job)
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.CONFLICT,
                                        "not-started",
                                        "No bring-up is under way. Start one first."));
    }

    private StepRow current(long job, int number) {
        BringUpRow run = open(job);
        StepRow current =
                mapper.steps(run.id()).stream().filter(s -> !s.done()).findFirst().orElse(null);
        if (current == null || current.number() != number) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "not-this-step",
                    "Step "
                            + number
                            + " is not the one to do now; somebody may have done it meanwhile. The page shows the present one.");
        }
        return current;
    }

    private static void insistOnDevice(Jobs.Stored stored, StepRow row) {
        boolean there =
                row.deviceId() == 0
                        || stored.job().device(new DeviceId(row.deviceId())).isPresent();
        if (!there) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "device-gone",
                    "The device of this step was removed from the job. Plan the rest anew: what is set stays set.");
        }
    }

    private void finish(
            Jobs.Stored stored, StepRow row, StepCheck.Result result, Instant now, Author by) {
        write(stored, row, result, false, now);
        if (row.toStep().kind() == Step.Kind.VERIFY) {
            Device device = stored.need(row.deviceId());
            observations.add(
                    stored.id(),
                    List.of(
                            Observations.address(
                                    device,
                                    PlannedAddress.of(device),
                                    Evidence.fromWire(result.evidence()).orElse(Evidence.TOLD),
                                    result.saw())),
                    result.saw() + " (" + result.evidence() + ")",
                    by);
        } else {
            live.changed(stored.id(), Notice.STEPS);
        }
    }

    private void write(
            Jobs.Stored stored,
            StepRow row,
            StepCheck.Result result,
            boolean differs,
            Instant now) {
        BringUpRow run = open(stored.id());
        Step step = row.toStep();
        OffsetDateTime boot =
                step.kind().boots() && !differs
                        ? at(result.booted() ? now : now.plusSeconds(boot(stored, step)))
                        : null;
        Integer taken = differs ? null : taken(run, row, now);
        mapper.finish(
                run.id(),
                new Done(
                        row.number(),
                        result.evidence(),
                        result.saw(),
                        boot,
                        at(now),
                        taken,
                        differs));
    }

    private static int boot(Jobs.Stored stored, Step step) {
        return stored.need(step.device().orElseThrow().value()).profile().bootSeconds();
    }

    /** From when the step could be begun: the one before was done, and its boot was over. */
    private Integer taken(BringUpRow run, StepRow row, Instant now) {
        if (row.toStep().kind().work().isEmpty()) {
            return null;
        }
        List<StepRow> rows = mapper.steps(run.id());
        Stream<OffsetDateTime> before = rows.stream().map(StepRow::worldDoneAt);
        Stream<OffsetDateTime> boots =
                row.toStep().kind().waits()
                        ? rows.stream()
                                .filter(r -> r.deviceId() == row.deviceId())
                                .map(StepRow::bootOverAt)
                        : Stream.empty();
        return Stream.concat(Stream.of(run.worldStartedAt()), Stream.concat(before, boots))
                .flatMap(Stream::ofNullable)
                .max(OffsetDateTime::compareTo)
                .map(from -> (int) Duration.between(from.toInstant(), now).toSeconds())
                .filter(s -> s >= 0)
                .orElse(null);
    }

    private Instant worldNow(long job) {
        return worlds.of(job).time().now();
    }

    private static OffsetDateTime at(Instant instant) {
        return OffsetDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
