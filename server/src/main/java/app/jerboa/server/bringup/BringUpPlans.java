package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.BringUpPlan;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.bringup.WaitingRing;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.finding.Discipline;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.bringup.Choice;
import app.jerboa.core.job.bringup.Hall;
import app.jerboa.core.job.bringup.NewDevices;
import app.jerboa.core.job.bringup.StepActions;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Worlds;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a job's bring-up would be: by each method, by one, and what is in its way. */
@Component
class BringUpPlans {
    private final JobViews views;
    private final BringUpMapper mapper;
    private final Worlds worlds;

    BringUpPlans(JobViews views, BringUpMapper mapper, Worlds worlds) {
        this.worlds = worlds;
        this.views = views;
        this.mapper = mapper;
    }

    /** The seconds to count with: the job's own, or what was really taken often enough. */
    StepTimes times(Jobs.Stored stored) {
        return usual(stored).learning(taken(stored.id()));
    }

    StepTimes usual(Jobs.Stored stored) {
        return stored.job().site().habits().bringUp().times();
    }

    Map<Work, List<Integer>> taken(long job) {
        Map<Work, List<Integer>> taken = new EnumMap<>(Work.class);
        for (BringUpRows.TakenRow row : mapper.taken(job)) {
            Step.Kind.fromWire(row.kind())
                    .filter(BringUpPlans::measures)
                    .flatMap(Step.Kind::work)
                    .ifPresent(
                            w ->
                                    taken.computeIfAbsent(w, x -> new ArrayList<>())
                                            .add(row.seconds()));
        }
        return taken;
    }

    /** Steps that stand for their kind of work; the others only borrow its seconds. */
    private static boolean measures(Step.Kind kind) {
        return switch (kind) {
            case REACH, LEAD_OUT, ASK, LEAD_HOME, ENTER, JOIN, STREAM, SEE, RESTART -> false;
            default -> true;
        };
    }

    /** What keeps a bring-up from starting, in words; empty when nothing does. */
    List<String> blockedBy(Jobs.Stored stored, Hall hall) {
        List<NewDevice> devices = NewDevices.of(hall.cabling(), Map.of());
        Set<Long> concerned = devices.stream().map(d -> d.id().value()).collect(Collectors.toSet());
        List<String> blocked =
                views.findings(stored.job()).stream()
                        .filter(
                                f ->
                                        f.stops()
                                                && f.discipline()
                                                        .equals(Discipline.ADDRESSES.wire()))
                        .filter(f -> f.deviceIds().stream().anyMatch(concerned::contains))
                        .map(FindingBody::what)
                        .collect(Collectors.toCollection(ArrayList::new));
        List<DeviceId> ring = WaitingRing.of(devices);
        if (!ring.isEmpty()) {
            blocked.add(Words.say("refused.ring", Map.of("devices", names(stored, ring))));
        } else {
            noLaptopAddress(stored, devices).ifPresent(blocked::add);
        }
        return blocked;
    }

    private static Optional<String> noLaptopAddress(Jobs.Stored stored, List<NewDevice> devices) {
        try {
            BringUpPlan.of(
                    BringUpMethod.HOP_EACH, false, devices, stored.laptopHome(), StepTimes.usual());
            return Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.of(Words.say("refused.bring-up-room", Map.of("why", e.getMessage())));
        }
    }

    static String names(Jobs.Stored stored, Collection<DeviceId> ids) {
        List<Device> devices =
                stored.job().devices().stream().filter(d -> ids.contains(d.id())).toList();
        return Naming.devices(devices);
    }

    /** Every method; only where nothing is in the way. */
    Choice choice(Jobs.Stored stored, Hall hall, boolean workshop) {
        return Choice.of(
                hall,
                NewDevices.of(hall.cabling(), Map.of()),
                workshop,
                stored.laptopHome(),
                times(stored));
    }

    /** As this machine stands now: a serial port of it may be where leads go. */
    StepActions actions(Jobs.Stored stored, Hall hall) {
        return new StepActions(hall, worlds.serialPort(stored.id()));
    }

    /** All steps by one method, those included that are no matter of addresses. */
    List<Step> steps(
            Jobs.Stored stored,
            Hall hall,
            BringUpMethod method,
            boolean workshop,
            Map<DeviceId, NewDevice.Progress> progress,
            Set<DeviceId> aside) {
        List<NewDevice> devices =
                NewDevices.of(hall.cabling(), progress).stream()
                        .filter(d -> !aside.contains(d.id()))
                        .toList();
        BringUpPlan plan =
                BringUpPlan.of(method, workshop, devices, stored.laptopHome(), times(stored));
        return actions(stored, hall).around(plan.sheet().steps(), stored.laptopHome(), aside);
    }
}
