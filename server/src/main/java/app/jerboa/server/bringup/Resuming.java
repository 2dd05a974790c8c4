package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** How far a bring-up is, by the steps that are done, so that the rest can be planned anew. */
final class Resuming {
    private static final Set<Work> POWERING = EnumSet.of(Work.PLUG, Work.PORT);
    private static final Set<Work> KEPT = EnumSet.of(Work.PLUG, Work.PORT, Work.LABEL);
    private static final Set<Step.Kind> ONCE =
            EnumSet.of(
                    Step.Kind.REACH,
                    Step.Kind.ASK,
                    Step.Kind.ENTER,
                    Step.Kind.JOIN,
                    Step.Kind.STREAM);

    private final List<StepRow> all;
    private final List<StepRow> done;

    Resuming(List<StepRow> steps) {
        this.all = steps;
        this.done = steps.stream().filter(StepRow::done).toList();
    }

    /**
     * What is behind each device. What differed, or was verified, is done again but for connecting.
     */
    Map<DeviceId, NewDevice.Progress> progress(Instant worldNow) {
        Map<DeviceId, Set<Work>> works = new HashMap<>();
        Map<DeviceId, Integer> boots = new HashMap<>();
        for (StepRow row : done) {
            Step step = row.toStep();
            if (step.device().isEmpty()
                    || ONCE.contains(step.kind())
                    || LeadTrips.KINDS.contains(step.kind())) {
                continue;
            }
            DeviceId device = step.device().get();
            Set<Work> all = works.computeIfAbsent(device, d -> EnumSet.noneOf(Work.class));
            if (row.differs() || step.kind() == Step.Kind.VERIFY) {
                all.retainAll(KEPT);
            } else {
                step.kind().work().ifPresent(all::add);
            }
            if (row.bootOverAt() != null) {
                boots.put(device, left(worldNow, row.bootOverAt().toInstant()));
            }
        }
        Map<DeviceId, NewDevice.Progress> progress = new HashMap<>();
        works.forEach(
                (d, w) -> progress.put(d, new NewDevice.Progress(w, boots.getOrDefault(d, 0))));
        return progress;
    }

    /** Steps that verify a device whose restart is behind it, wherever they stand in the list. */
    List<StepRow> unverified() {
        Set<Long> restarted = new HashSet<>();
        done.stream()
                .filter(r -> r.toStep().kind() == Step.Kind.RESTART && !r.differs())
                .forEach(r -> restarted.add(r.deviceId()));
        return all.stream()
                .filter(r -> !r.done() && r.toStep().kind() == Step.Kind.VERIFY)
                .filter(r -> restarted.contains(r.deviceId()))
                .toList();
    }

    private static int left(Instant now, Instant over) {
        return (int) Math.max(0, Math.ceil(Duration.between(now, over).toMillis() / 1000.0));
    }

    /** Of a fresh plan what is still to do: not what is done once, and from where the laptop is. */
    List<Step> rest(List<Step> plan, LaptopAddress home, Predicate<DeviceId> inJob) {
        Set<String> once = new HashSet<>();
        Set<LaptopAddress> also = new HashSet<>();
        LaptopAddress laptop = home;
        for (StepRow row : done) {
            Step step = row.toStep();
            if (ONCE.contains(step.kind()) && !row.differs()) {
                once.add(key(step));
            } else if (step.kind() == Step.Kind.ALIAS) {
                also.add(step.laptop());
            } else if (step.kind() == Step.Kind.HOP_OUT || step.kind() == Step.Kind.HOP_HOME) {
                laptop = step.laptop();
            }
        }
        List<Step> rest = new ArrayList<>();
        for (Step step : plan) {
            boolean there = step.kind() == Step.Kind.ALIAS && also.contains(step.laptop());
            if (!there && !once.contains(key(step))) {
                rest.add(step);
            }
        }
        List<Step> all = LeadTrips.of(done, inJob).left(rest, home);
        return laptop.equals(home) ? all : fromAway(all, laptop, home);
    }

    private static String key(Step step) {
        return ONCE.contains(step.kind()) ? step.kind() + " " + step.device().orElseThrow() : "";
    }

    /** The laptop stays where it is when the first move would take it there; else it comes home. */
    private static List<Step> fromAway(List<Step> rest, LaptopAddress laptop, LaptopAddress home) {
        Optional<Step> first =
                rest.stream()
                        .filter(s -> s.kind() == Step.Kind.HOP_OUT || asksAtHome(s))
                        .findFirst();
        List<Step> all = new ArrayList<>(rest);
        if (first.isPresent()
                && first.get().kind() == Step.Kind.HOP_OUT
                && first.get().laptop().equals(laptop)) {
            all.remove(first.get());
        } else {
            all.add(0, new Step(Step.Kind.HOP_HOME, Optional.empty(), home));
        }
        return all;
    }

    private static boolean asksAtHome(Step step) {
        return step.device().isPresent()
                && step.kind() != Step.Kind.REACH
                && step.kind().work().filter(POWERING::contains).isEmpty();
    }
}
