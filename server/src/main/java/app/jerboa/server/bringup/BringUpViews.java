package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.RunSheet;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItems;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.server.bringup.BringUpRows.RunRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.job.JobViews;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.world.RigBodies;
import app.jerboa.server.world.RigClient;
import app.jerboa.server.world.World;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Turns a run sheet and how far it is into what its page shows. */
@Component
class BringUpViews {
    private final JobViews jobs;
    private final RigClient rig;
    private final World world;

    BringUpViews(JobViews jobs, RigClient rig, World world) {
        this.jobs = jobs;
        this.rig = rig;
        this.world = world;
    }

    /** Stops on the cameras' addresses, which would be typed into them. */
    List<String> blockedBy(Job job) {
        Set<Long> cameras =
                job.lines().stream().map(l -> l.camera().value()).collect(Collectors.toSet());
        return jobs.findings(job).stream()
                .filter(f -> f.stops() && f.code().startsWith("ADDR-"))
                .filter(f -> f.deviceIds().stream().anyMatch(cameras::contains))
                .map(FindingBody::what)
                .toList();
    }

    BringUpView view(Jobs.Stored stored, Optional<RunRow> run, List<StepRow> steps) {
        StepRow current =
                run.isEmpty()
                        ? null
                        : steps.stream().filter(s -> !s.done()).findFirst().orElse(null);
        Optional<RigBodies.Clock> clock =
                rig.configured() ? Optional.of(rig.clock()) : Optional.empty();
        Map<DeviceId, Integer> running =
                clock.map(c -> running(steps, c.worldNow())).orElse(Map.of());
        int from = current == null ? steps.size() : current.number() - 1;
        RunSheet sheet = new RunSheet(steps.stream().map(BringUpRows.StepRow::toStep).toList());
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
        Step.Kind kind = current.toStep().kind();
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
                device.map(d -> JobItems.text(d, Field.GATEWAY)).orElse(""),
                s.laptop(),
                s.done(),
                s.evidence(),
                s.saw());
    }

    private BringUpView.LaptopBody laptop(Jobs.Stored stored, StepRow current) {
        LaptopAddress wanted = current == null ? stored.laptopHome() : current.toStep().laptop();
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
