package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpPlan;
import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.RunSheet;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.bringup.Action;
import app.jerboa.core.job.bringup.Choice;
import app.jerboa.core.job.bringup.Hall;
import app.jerboa.core.job.bringup.NewDevices;
import app.jerboa.core.job.bringup.StepActions;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.bringup.BringUpRows.BringUpRow;
import app.jerboa.server.bringup.BringUpRows.StepRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.rig.RigHands;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.WorldTime;
import app.jerboa.server.world.Worlds;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
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
    private static final Set<Action.Kind> WITH_SECRET =
            EnumSet.of(
                    Action.Kind.SET_FIRST_LOGIN,
                    Action.Kind.CHANGE_PASSWORD,
                    Action.Kind.ENTRY_LOGIN,
                    Action.Kind.JOIN_WIRELESS,
                    Action.Kind.PAIR_TUNNEL,
                    Action.Kind.STREAM_KEY);

    private final BringUpPlans plans;
    private final RigHands hands;
    private final Worlds worlds;
    private final Watching watching;

    BringUpViews(BringUpPlans plans, RigHands hands, Worlds worlds, Watching watching) {
        this.watching = watching;
        this.plans = plans;
        this.hands = hands;
        this.worlds = worlds;
    }

    MethodsView methods(Jobs.Stored stored, boolean workshop) {
        Hall hall = Hall.of(stored.job());
        List<String> blocked = plans.blockedBy(stored, hall);
        int devices = NewDevices.of(hall.cabling(), Map.of()).size();
        Habits.BringUp habits = stored.job().site().habits().bringUp();
        if (!blocked.isEmpty()) {
            return new MethodsView(
                    devices,
                    workshop,
                    List.of(),
                    "",
                    "",
                    false,
                    "",
                    habits.workshopMinutes(),
                    habits.laptopServes(),
                    blocked,
                    times(stored));
        }
        Choice choice = plans.choice(stored, hall, workshop);
        StepActions actions = plans.actions(stored, hall);
        StepTimes times = plans.times(stored);
        return new MethodsView(
                devices,
                workshop,
                choice.plans().stream().map(p -> method(stored, p, actions, times)).toList(),
                choice.recommended().method().wire(),
                StepWords.reason(choice.reason()),
                choice.bench(),
                BringUpPlans.names(stored, choice.high()),
                habits.workshopMinutes(),
                habits.laptopServes(),
                blocked,
                times(stored));
    }

    private static MethodsView.MethodBody method(
            Jobs.Stored stored, BringUpPlan plan, StepActions actions, StepTimes times) {
        RunSheet all =
                new RunSheet(actions.around(plan.sheet().steps(), stored.laptopHome(), Set.of()));
        return new MethodsView.MethodBody(
                plan.method().wire(),
                plan.seconds(),
                (int)
                        (plan.sheet().count(Step.Kind.HOP_OUT)
                                + plan.sheet().count(Step.Kind.HOP_HOME)),
                (int) plan.sheet().count(Step.Kind.ALIAS),
                BringUpPlans.names(stored, plan.otherwise()),
                plan.exact(),
                all.steps().size(),
                all.secondsFrom(0, times, boots(stored), Map.of()));
    }

    private List<MethodsView.TimeBody> times(Jobs.Stored stored) {
        StepTimes usual = plans.usual(stored);
        Map<Work, List<Integer>> taken = plans.taken(stored.id());
        StepTimes learned = usual.learning(taken);
        return Arrays.stream(Work.values())
                .map(
                        w ->
                                new MethodsView.TimeBody(
                                        w.wire(),
                                        "seconds" + w.name().charAt(0) + w.wire().substring(1),
                                        learned.of(w),
                                        usual.of(w),
                                        usual.counting(w, taken.getOrDefault(w, List.of())).size()))
                .toList();
    }

    BringUpView view(Jobs.Stored stored, Optional<BringUpRow> run, List<StepRow> steps) {
        StepRow current = steps.stream().filter(s -> !s.done()).findFirst().orElse(null);
        WorldTime time = worlds.of(stored.id()).time();
        Instant now = time.now();
        Map<DeviceId, Integer> boots = boots(stored);
        RunSheet sheet = new RunSheet(steps.stream().map(StepRow::toStep).toList());
        int from = current == null ? steps.size() : current.number() - 1;
        return new BringUpView(
                run.isPresent(),
                run.isPresent() && current == null,
                run.map(r -> r.how().wire()).orElse(""),
                run.map(BringUpRow::workshop).orElse(false),
                run.map(r -> BringUpPlans.names(stored, r.asideIds())).orElse(""),
                bodies(stored, steps),
                Optional.ofNullable(current).map(StepRow::number),
                now(stored, steps, current),
                current == null ? 0 : wait(steps, current, now),
                current == null ? 0 : boots.getOrDefault(new DeviceId(current.deviceId()), 0),
                waits(steps, boots, now),
                sheet.secondsFrom(from, plans.times(stored), boots, running(steps, now)),
                time.speed(),
                laptop(stored, steps, current));
    }

    private static Map<DeviceId, Integer> boots(Jobs.Stored stored) {
        return stored.job().devices().stream()
                .collect(Collectors.toMap(Device::id, d -> d.profile().bootSeconds()));
    }

    private static List<BringUpView.WaitBody> waits(
            List<StepRow> steps, Map<DeviceId, Integer> boots, Instant now) {
        return running(steps, now).entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .map(
                        e ->
                                new BringUpView.WaitBody(
                                        e.getKey().value(),
                                        e.getValue(),
                                        boots.getOrDefault(e.getKey(), 0)))
                .sorted(Comparator.comparingDouble(BringUpView.WaitBody::left))
                .toList();
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
        if (!current.toStep().kind().waits()) {
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

    private static List<BringUpView.StepBody> bodies(Jobs.Stored stored, List<StepRow> steps) {
        Map<DeviceId, Device> devices = new HashMap<>();
        stored.job().devices().forEach(d -> devices.put(d.id(), d));
        return steps.stream()
                .map(s -> body(Optional.ofNullable(devices.get(new DeviceId(s.deviceId()))), s))
                .toList();
    }

    /**
     * @param device empty for the laptop's steps, and when it is gone
     */
    private static BringUpView.StepBody body(Optional<Device> device, StepRow s) {
        return new BringUpView.StepBody(
                s.number(),
                s.kind(),
                s.deviceId() == 0 ? Optional.empty() : Optional.of(s.deviceId()),
                device.map(Device::name).orElse(""),
                device.map(BringUpViews::start).orElse(""),
                device.flatMap(Device::address).map(Ipv4::toString).orElse(""),
                s.laptop(),
                s.done(),
                s.evidence(),
                s.saw(),
                s.differs());
    }

    /** Where a device starts, for people. */
    static String start(Device d) {
        return factory(d).orElse(Words.say("step.own-address"));
    }

    /** Every step in words, for paper. */
    List<RunSheetPdf.Printed> print(Jobs.Stored stored, List<StepRow> rows) {
        StepActions actions = actions(stored);
        return rows.stream()
                .map(
                        r -> {
                            Step step = r.toStep();
                            boolean there = step.device().flatMap(stored.job()::device).isPresent();
                            return new RunSheetPdf.Printed(
                                    r.number(),
                                    r.done(),
                                    words(
                                            stored,
                                            step,
                                            there ? Optional.of(actions) : Optional.empty()));
                        })
                .toList();
    }

    private StepActions actions(Jobs.Stored stored) {
        return plans.actions(stored, Hall.of(stored.job()));
    }

    /** What stands on top of a sheet on paper. */
    List<String> head(Jobs.Stored stored, List<StepRow> rows) {
        RunSheet sheet = new RunSheet(rows.stream().map(StepRow::toStep).toList());
        int minutes =
                (sheet.secondsFrom(0, plans.times(stored), boots(stored), Map.of()) + 59) / 60;
        return List.of(
                Words.say("paper.steps", Map.of("steps", rows.size(), "minutes", minutes)),
                Words.say("paper.laptop", Map.of("address", stored.laptopHome())),
                Words.say("paper.codes"));
    }

    /** The words of the step that is done now. */
    private BringUpView.NowBody now(Jobs.Stored stored, List<StepRow> steps, StepRow row) {
        if (row == null) {
            return new BringUpView.NowBody("", "", "", List.of(), List.of(), false, "", "");
        }
        Step step = row.toStep();
        boolean there =
                step.device().isEmpty() || stored.job().device(step.device().get()).isPresent();
        StepActions actions = actions(stored);
        BringUpView.NowBody words =
                words(stored, step, there ? Optional.of(actions) : Optional.empty());
        return words.watched(watching.sign(stored, step).orElse(""), clears(stored, steps, step));
    }

    /** The start of a device that another one had before: the laptop still knows that one. */
    private static String clears(Jobs.Stored stored, List<StepRow> steps, Step step) {
        if (step.kind() != Step.Kind.PLUG && step.kind() != Step.Kind.PORT) {
            return "";
        }
        Optional<String> start =
                step.device().flatMap(stored.job()::device).flatMap(BringUpViews::factory);
        boolean before =
                start.isPresent()
                        && steps.stream()
                                .filter(s -> s.done() && s.toStep().kind() == Step.Kind.SET)
                                .flatMap(s -> s.toStep().device().stream())
                                .flatMap(d -> stored.job().device(d).stream())
                                .anyMatch(d -> factory(d).equals(start));
        return before ? start.get() : "";
    }

    private static Optional<String> factory(Device d) {
        return d.profile().factory().map(FactoryAddress::address).map(Ipv4::toString);
    }

    /**
     * @param actions empty when the step's device is gone
     */
    BringUpView.NowBody words(Jobs.Stored stored, Step step, Optional<StepActions> actions) {
        Optional<Device> device = step.device().flatMap(stored.job()::device);
        Map<String, String> facts =
                Map.of(
                        "device", device.map(Device::name).orElse(Words.say("step.device-gone")),
                        "factory", device.map(BringUpViews::start).orElse(""),
                        "planned", device.flatMap(Device::address).map(Ipv4::toString).orElse(""),
                        "laptop", step.laptop().toString());
        String kind = step.kind().wire();
        return new BringUpView.NowBody(
                StepWords.step(kind, "title", facts),
                StepWords.step(kind, "todo", facts),
                StepWords.step(kind, "expect", facts),
                actions.map(a -> a.of(step)).orElse(List.of()).stream().map(this::action).toList(),
                actions.map(a -> a.cautions(step)).orElse(Set.of()).stream()
                        .sorted()
                        .map(StepWords::caution)
                        .toList(),
                hands.can(stored.id(), step),
                "",
                "");
    }

    private BringUpView.ActionBody action(Action a) {
        return new BringUpView.ActionBody(
                a.kind().name(),
                StepWords.action(a),
                a.value(),
                a.secret().map(s -> s.id()),
                WITH_SECRET.contains(a.kind()) && a.secret().isEmpty());
    }

    private BringUpView.LaptopBody laptop(
            Jobs.Stored stored, List<StepRow> steps, StepRow current) {
        LaptopAddress wanted = current == null ? stored.laptopHome() : current.toStep().laptop();
        List<String> also =
                steps.stream()
                        .filter(StepRow::done)
                        .filter(s -> s.toStep().kind() == Step.Kind.ALIAS)
                        .map(StepRow::laptop)
                        .toList();
        Optional<Laptop> actual = worlds.of(stored.id()).laptop(stored);
        boolean right = actual.flatMap(l -> LaptopPlace.of(l, wanted, stored.job())).isPresent();
        return new BringUpView.LaptopBody(
                actual.map(Laptop::own).orElse(""),
                wanted.toString(),
                wanted.subnet().mask().toString(),
                also,
                right);
    }
}
