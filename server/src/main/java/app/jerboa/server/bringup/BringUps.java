package app.jerboa.server.bringup;

import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.RunSheet;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.RunRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.RigClient;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries a run sheet out: one step at a time, resumed anywhere, since every step done is stored.
 */
@Service
class BringUps {
    private final BringUpMapper mapper;
    private final Jobs jobs;
    private final BringUpViews views;
    private final Commands commands;
    private final Logbook log;
    private final Live live;
    private final StepCheck checks;
    private final RigHands hands;
    private final RigClient rig;
    private final TransactionTemplate transactions;

    BringUps(
            BringUpMapper mapper,
            Jobs jobs,
            BringUpViews views,
            Commands commands,
            Logbook log,
            Live live,
            StepCheck checks,
            RigHands hands,
            RigClient rig,
            TransactionTemplate transactions) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.views = views;
        this.commands = commands;
        this.log = log;
        this.live = live;
        this.checks = checks;
        this.hands = hands;
        this.rig = rig;
        this.transactions = transactions;
    }

    @Transactional(readOnly = true)
    BringUpView view(long job) {
        Jobs.Stored stored = jobs.load(job);
        Optional<RunRow> run = mapper.open(job);
        List<StepRow> steps =
                run.map(r -> mapper.steps(r.id())).orElseGet(() -> rows(plan(stored)));
        return views.view(stored, run, steps);
    }

    @Transactional
    BringUpView start(long job, Author by) {
        Jobs.Stored stored = jobs.lock(job);
        List<String> blocked = views.blockedBy(stored.job());
        if (!blocked.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "plan-stopped",
                    "The address plan has faults that would be carried into the cameras. Clear them on the Addresses page first: "
                            + String.join(" ", blocked));
        }
        List<StepRow> steps = rows(plan(stored));
        if (steps.isEmpty()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "nothing-to-bring-up",
                    "Every camera is set already: there is nothing to bring up.");
        }
        mapper.close(job);
        long run = mapper.insertRun(job, "HOP", by.displayName());
        steps.forEach(s -> mapper.insertStep(run, s));
        log.event(job, "Bring-up started: " + steps.size() + " steps, method HOP", List.of(), by);
        return view(job);
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
            transactions.executeWithoutResult(t -> finish(stored, row, result, by));
        }
        return new BringUpView.Outcome(result.done(), result.saw(), result.next(), view(job));
    }

    private StepRow current(long job, int number) {
        RunRow run =
                mapper.open(job)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.CONFLICT,
                                                "not-started",
                                                "No bring-up is under way. Start one first."));
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
                    "The device of this step was removed from the job. Start the bring-up again: what is set stays set.");
        }
    }

    private void finish(Jobs.Stored stored, StepRow row, StepCheck.Result result, Author by) {
        RunRow run = mapper.open(stored.id()).orElseThrow();
        Step step = row.toStep();
        mapper.finish(
                run.id(), row.number(), result.evidence(), result.saw(), bootOverAt(stored, step));
        if (step.kind() == Step.Kind.VERIFY) {
            Device device = stored.need(row.deviceId());
            commands.noteFound(
                    stored.id(),
                    row.deviceId(),
                    StepCheck.planned(device).toString(),
                    result.saw() + " (asked)",
                    by);
        } else {
            live.logged(stored.id());
        }
    }

    private OffsetDateTime bootOverAt(Jobs.Stored stored, Step step) {
        if (step.kind() != Step.Kind.PLUG && step.kind() != Step.Kind.SET) {
            return null;
        }
        int boot = stored.need(step.device().orElseThrow().value()).profile().bootSeconds();
        return OffsetDateTime.ofInstant(rig.clock().worldNow().plusSeconds(boot), ZoneOffset.UTC);
    }

    private RunSheet plan(Jobs.Stored stored) {
        List<NewDevice> fresh =
                stored.job().devices().stream()
                        .filter(d -> d.profile().drivable() && !d.set())
                        .filter(d -> d.profile().factory().isPresent() && d.address().isPresent())
                        .map(BringUps::fresh)
                        .toList();
        return RunSheet.hop(fresh, stored.laptopHome());
    }

    private static NewDevice fresh(Device d) {
        return new NewDevice(
                d.id(),
                d.profile().factory().orElseThrow(),
                d.address().orElseThrow(),
                d.profile().bootSeconds());
    }

    private static List<StepRow> rows(RunSheet sheet) {
        List<Step> steps = sheet.steps();
        return IntStream.range(0, steps.size()).mapToObj(i -> row(i + 1, steps.get(i))).toList();
    }

    private static StepRow row(int number, Step step) {
        long device = step.device().map(DeviceId::value).orElse(0L);
        return new StepRow(
                number, step.kind().wire(), device, step.laptop().toString(), null, "", "", null);
    }
}
