package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.RunSheet;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobEdit;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.server.bringup.BringUpRows.RunRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.job.Commands;
import app.jerboa.server.job.JobViews;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.world.RigBodies;
import app.jerboa.server.world.RigClient;
import app.jerboa.server.world.World;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
    private final JobViews views;
    private final Commands commands;
    private final StepCheck checks;
    private final RigHands hands;
    private final RigClient rig;
    private final World world;
    private final TransactionTemplate transactions;

    BringUps(
            BringUpMapper mapper,
            Jobs jobs,
            JobViews views,
            Commands commands,
            StepCheck checks,
            RigHands hands,
            RigClient rig,
            World world,
            TransactionTemplate transactions) {
        this.mapper = mapper;
        this.jobs = jobs;
        this.views = views;
        this.commands = commands;
        this.checks = checks;
        this.hands = hands;
        this.rig = rig;
        this.world = world;
        this.transactions = transactions;
    }

    @Transactional(readOnly = true)
    BringUpView view(long job) {
        Jobs.Stored stored = jobs.load(job);
        Optional<RunRow> run = mapper.open(job);
        List<StepRow> steps =
                run.map(r -> mapper.steps(r.id())).orElseGet(() -> rows(plan(stored)));
        return view(stored, run, steps);
    }

    @Transactional
    BringUpView start(long job, Person by) {
        Jobs.Stored stored = jobs.lock(job);
        List<String> blocked = blockedBy(stored.job());
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
        commands.event(job, "Bring-up started: " + steps.size() + " steps, method HOP", by);
        return view(job);
    }

    /** Carries out the current step in the simulated hall. */
    BringUpView act(long job, int number) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = current(job, number);
        hands.act(stored, step(row));
        return view(job);
    }

    /** Asks whether the current step is done, and if so stores it with its evidence. */
    BringUpView.Outcome check(long job, int number, Person by) {
        Jobs.Stored stored = jobs.load(job);
        StepRow row = current(job, number);
        StepCheck.Result result = checks.check(stored, step(row));
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

    private void finish(Jobs.Stored stored, StepRow row, StepCheck.Result result, Person by) {
        RunRow run = mapper.open(stored.id()).orElseThrow();
        Step step = step(row);
        mapper.finish(
                run.id(), row.number(), result.evidence(), result.saw(), bootOverAt(stored, step));
        if (step.kind() == Step.Kind.VERIFY) {
            Device device = stored.need(row.deviceId());
            commands.noteFound(
                    stored.id(), device, StepCheck.planned(device), result.saw() + " (asked)", by);
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
                        .filter(d -> d.profile().kind() == DeviceKind.CAMERA && !d.set())
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

    private static Step step(StepRow row) {
        return new Step(
                Step.Kind.fromWire(row.kind()).orElseThrow(),
                row.deviceId() == 0 ? Optional.empty() : Optional.of(new DeviceId(row.deviceId())),
                LaptopAddress.parse(row.laptop()));
    }

    /** Stops on the cameras' addresses, which would be typed into them. */
    private List<String> blockedBy(Job job) {
        Set<Long> cameras =
                job.lines().stream().map(l -> l.camera().value()).collect(Collectors.toSet());
        return views.findings(job).stream()
                .filter(f -> f.severity().equals("stop"))
                .filter(f -> f.deviceIds().stream().anyMatch(cameras::contains))
                .map(FindingBody::what)
                .toList();
    }

    private BringUpView view(Jobs.Stored stored, Optional<RunRow> run, List<StepRow> steps) {
        StepRow current =
                run.isEmpty()
                        ? null
                        : steps.stream().filter(s -> !s.done()).findFirst().orElse(null);
        Optional<RigBodies.Clock> clock =
                rig.configured() ? Optional.of(rig.clock()) : Optional.empty();
        Map<DeviceId, Integer> running =
                clock.map(c -> running(steps, c.worldNow())).orElse(Map.of());
        int from = current == null ? steps.size() : current.number() - 1;
        RunSheet sheet = new RunSheet(steps.stream().map(BringUps::step).toList());
        double wait =
                current == null
                        ? 0
                        : clock.map(c -> wait(steps, current, c.worldNow())).orElse(0.0);
        return new BringUpView(
                run.isPresent(),
                run.isPresent() && current == null,
                "HOP",
                run.isPresent() ? List.of() : blockedBy(stored.job()),
                steps.stream().map(s -> body(stored, s)).toList(),
                current == null ? 0 : current.number(),
                wait,
                current == null
                        ? 0
                        : boots(stored).getOrDefault(new DeviceId(current.deviceId()), 0),
                sheet.secondsFrom(
                        run.isEmpty() ? 0 : from, StepTimes.usual(), boots(stored), running),
                clock.map(RigBodies.Clock::speed).orElse(1.0),
                laptop(stored, current));
    }

    private static Map<DeviceId, Integer> boots(Jobs.Stored stored) {
        return stored.job().devices().stream()
                .collect(Collectors.toMap(Device::id, d -> d.profile().bootSeconds()));
    }

    private static Map<DeviceId, Integer> running(List<StepRow> steps, Instant now) {
        Map<DeviceId, Integer> running = new HashMap<>();
        for (StepRow s : steps) {
            if (s.bootOverAt() != null) {
                running.put(
                        new DeviceId(s.deviceId()), (int) Math.ceil(seconds(now, s.bootOverAt())));
            }
        }
        return running;
    }

    private static double wait(List<StepRow> steps, StepRow current, Instant now) {
        Step.Kind kind = step(current).kind();
        if (kind != Step.Kind.SEE && kind != Step.Kind.RESTART && kind != Step.Kind.VERIFY) {
            return 0;
        }
        return steps.stream()
                .filter(s -> s.deviceId() == current.deviceId() && s.bootOverAt() != null)
                .mapToDouble(s -> seconds(now, s.bootOverAt()))
                .max()
                .orElse(0);
    }

    private static double seconds(Instant now, OffsetDateTime then) {
        return Math.max(0, Duration.between(now, then.toInstant()).toMillis() / 1000.0);
    }

    private static BringUpView.StepBody body(Jobs.Stored stored, StepRow s) {
        Optional<Device> device = stored.job().device(new DeviceId(s.deviceId()));
        int prefix = device.map(Device::prefix).orElse(0);
        return new BringUpView.StepBody(
                s.number(),
                s.kind(),
                s.deviceId(),
                device.map(Device::name).orElse(""),
                device.flatMap(d -> d.profile().factory())
                        .map(FactoryAddress::address)
                        .map(Ipv4::toString)
                        .orElse(""),
                device.flatMap(Device::address).map(Ipv4::toString).orElse(""),
                prefix,
                device.flatMap(Device::address)
                        .map(a -> Ipv4Subnet.of(a, prefix).mask().toString())
                        .orElse(""),
                device.map(d -> JobEdit.text(d, Field.GATEWAY)).orElse(""),
                s.laptop(),
                s.done(),
                s.evidence(),
                s.saw());
    }

    private BringUpView.LaptopBody laptop(Jobs.Stored stored, StepRow current) {
        LaptopAddress wanted = current == null ? stored.laptopHome() : step(current).laptop();
        String actual = "";
        if (rig.configured()) {
            world.furnish(stored);
            RigBodies.Network laptop = rig.hall(stored.id()).laptop();
            actual = laptop.address() + "/" + laptop.prefix();
        }
        return new BringUpView.LaptopBody(
                actual,
                wanted.toString(),
                wanted.subnet().mask().toString(),
                actual.equals(wanted.toString()));
    }
}
