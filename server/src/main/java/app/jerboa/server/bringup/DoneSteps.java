package app.jerboa.server.bringup;

import app.jerboa.core.bringup.Step;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.Done;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.job.PlannedAddress;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Author;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Writes a step down as done: by what evidence, how long it took, until when its boot runs. */
@Component
class DoneSteps {
    private final BringUpMapper mapper;
    private final OpenBringUp open;
    private final Observations observations;
    private final Live live;
    private final Contacts contacts;
    private final PluggedLeads plugged;

    DoneSteps(
            BringUpMapper mapper,
            OpenBringUp open,
            Observations observations,
            Live live,
            Contacts contacts,
            PluggedLeads plugged) {
        this.contacts = contacts;
        this.plugged = plugged;
        this.mapper = mapper;
        this.open = open;
        this.observations = observations;
        this.live = live;
    }

    void finish(Jobs.Stored stored, StepRow row, StepCheck.Result result, Instant now, Author by) {
        write(stored, row, result, false, now);
        row.toStep()
                .device()
                .ifPresent(d -> tripped(stored, row.toStep().kind(), d, by.displayName()));
        List<NewObservation> seen =
                row.toStep().kind() == Step.Kind.VERIFY
                        ? List.of(verified(stored.need(row.deviceId()), result))
                        : result.seen();
        if (seen.isEmpty()) {
            live.changed(stored.id(), Notice.STEPS);
        } else {
            observations.add(stored.id(), seen, result.saw() + " (" + result.evidence() + ")", by);
        }
    }

    /** A trip of a lead says where it is, at the desk too. */
    private void tripped(Jobs.Stored stored, Step.Kind kind, DeviceId camera, String by) {
        if (!LeadTrips.KINDS.contains(kind)
                || !(contacts.ways(stored).told(stored.need(camera.value()))
                        instanceof DeskWay.OverLine way)) {
            return;
        }
        if (kind == Step.Kind.LEAD_OUT) {
            plugged.say(stored.id(), way, by);
        } else {
            plugged.tookHome(stored.id(), way);
        }
    }

    private static NewObservation verified(Device device, StepCheck.Result result) {
        return Observations.address(
                device,
                PlannedAddress.of(device),
                Evidence.fromWire(result.evidence()).orElse(Evidence.TOLD),
                result.saw());
    }

    /** Another thing was seen than the step expects. */
    void differs(Jobs.Stored stored, StepRow row, String saw, Instant now) {
        write(stored, row, new StepCheck.Result(true, "seen", saw, ""), true, now);
    }

    private void write(
            Jobs.Stored stored,
            StepRow row,
            StepCheck.Result result,
            boolean differs,
            Instant now) {
        BringUpRow run = open.need(stored.id());
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

    private static OffsetDateTime at(Instant instant) {
        return OffsetDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
