package app.jerboa.core.job.control;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.identity.LineNumbers;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Move;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Lines made from the kit: what lies loose is fitted to the first camera that needs it, a camera
 * that has no key gets one, pictures go to free inputs. Nothing that was planned is touched.
 */
public final class LinesMaking {
    private static final Set<Sort> SWITCHERS =
            EnumSet.of(Sort.VIDEO_SWITCHER, Sort.COMPUTER_SWITCHER);
    private static final Set<RemoteFunction> PAINTING =
            EnumSet.of(RemoteFunction.EXPOSURE, RemoteFunction.PAINT);

    private final JobEditor editor;
    private final Job job;
    private final List<Edit> edits = new ArrayList<>();

    private LinesMaking(JobEditor editor, Job job) {
        this.editor = editor;
        this.job = job;
    }

    /** Empty when nothing is missing that the kit could give. */
    public static ChangeSet missing(JobEditor editor, Job job) {
        List<Edit> all = new ArrayList<>();
        Job fitted = job;
        // A lens that is fitted may be found to want a motor: until nothing more is.
        for (List<Edit> more = fit(fitted); !more.isEmpty(); more = fit(fitted)) {
            all.addAll(more);
            fitted = editor.apply(fitted, ChangeSet.edits(more));
        }
        LinesMaking keying = new LinesMaking(editor, fitted);
        boolean counted = keying.keys();
        keying.inputs();
        all.addAll(keying.edits);
        if (counted) {
            all.addAll(keying.addresses());
        }
        return ChangeSet.edits(all);
    }

    private static List<Edit> fit(Job job) {
        KitIndex kit = KitIndex.of(job);
        ControlRoutes routes = ControlRoutes.of(job);
        Set<DeviceId> spoken = new HashSet<>();
        List<Edit> edits = new ArrayList<>();
        for (Line line : job.lines()) {
            Device camera = kit.device(line.camera());
            for (Sort sort : Fittings.missing(line, kit, routes)) {
                Optional<Edit> edit = Fittings.fit(job, camera, sort, spoken);
                edit.ifPresent(e -> spoken.add(new DeviceId(e.item().id())));
                edit.ifPresent(edits::add);
            }
        }
        return edits;
    }

    /** True when a counting controller got a camera, so that addresses must follow. */
    private boolean keys() {
        KitIndex kit = KitIndex.of(job);
        ControlRoutes routes = ControlRoutes.of(job);
        Map<DeviceId, Set<Integer>> used = new HashMap<>();
        for (Line line : job.lines()) {
            line.key().ifPresent(k -> numbers(used, k.controller()).add(k.number()));
            line.also().ifPresent(k -> numbers(used, k.controller()).add(k.number()));
            line.paint().ifPresent(k -> numbers(used, k.controller()).add(k.number()));
        }
        boolean counted = false;
        for (Line line : job.lines()) {
            Set<RemoteFunction> wanted = Wanted.of(line, kit.device(line.camera()).profile());
            Set<RemoteFunction> driving = EnumSet.copyOf(Wanted.ALL);
            driving.retainAll(wanted);
            driving.removeAll(PAINTING);
            driving.remove(RemoteFunction.TALLY);
            if (line.key().isEmpty()) {
                Optional<Line.Key> key = free(routes, line, driving, used, d -> !paints(d));
                key.ifPresent(k -> give(line, k, Field.CONTROLLER, Field.KEY));
                counted |=
                        key.flatMap(k -> kit.device(k.controller()).profile().keys())
                                .filter(Keys::counting)
                                .isPresent();
            }
            Set<RemoteFunction> painted = EnumSet.copyOf(PAINTING);
            painted.retainAll(wanted);
            boolean unpainted = painted.stream().anyMatch(f -> routes.planned(line, f).isEmpty());
            if (line.paint().isEmpty() && unpainted) {
                free(routes, line, painted, used, LinesMaking::paints)
                        .ifPresent(k -> give(line, k, Field.PANEL, Field.PANEL_KEY));
            }
        }
        return counted;
    }

    private static Set<Integer> numbers(Map<DeviceId, Set<Integer>> used, DeviceId device) {
        return used.computeIfAbsent(device, d -> new HashSet<>());
    }

    private static boolean paints(Device d) {
        return d.profile().sort() == Sort.PAINT_PANEL;
    }

    /** On the best controller that has one: the line's own number, else the lowest. */
    private static Optional<Line.Key> free(
            ControlRoutes routes,
            Line line,
            Set<RemoteFunction> functions,
            Map<DeviceId, Set<Integer>> used,
            Predicate<Device> who) {
        for (RemoteFunction function : functions) {
            for (ControlRoute route : routes.all(line, function)) {
                Optional<Keys> keys = route.by().profile().keys();
                if (keys.isPresent() && who.test(route.by())) {
                    Set<Integer> taken = numbers(used, route.by().id());
                    int first = keys.get().first();
                    int own = first + line.number() - 1;
                    int number =
                            own < first + keys.get().count() && !taken.contains(own) ? own : first;
                    while (taken.contains(number)) {
                        number++;
                    }
                    if (number < first + keys.get().count()) {
                        taken.add(number);
                        return Optional.of(new Line.Key(route.by().id(), number));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private void give(Line line, Line.Key key, Field device, Field number) {
        edits.add(new Edit(line.ref(), device, "", key.controller().toString()));
        edits.add(new Edit(line.ref(), number, "", Integer.toString(key.number())));
    }

    private void inputs() {
        Map<DeviceId, Set<Integer>> used = new HashMap<>();
        job.lines()
                .forEach(
                        l -> l.input().ifPresent(i -> numbers(used, i.switcher()).add(i.number())));
        List<Device> switchers =
                job.devices().stream().filter(d -> SWITCHERS.contains(d.profile().sort())).toList();
        for (Line line : job.lines()) {
            if (line.input().isEmpty()) {
                input(line, switchers, used);
            }
        }
    }

    private void input(Line line, List<Device> switchers, Map<DeviceId, Set<Integer>> used) {
        for (Device switcher : switchers) {
            Set<Integer> taken = numbers(used, switcher.id());
            int most = LineNumbers.inputs(switcher);
            int number =
                    line.number() <= most && !taken.contains(line.number()) ? line.number() : 1;
            while (taken.contains(number)) {
                number++;
            }
            if (number <= most) {
                taken.add(number);
                edits.add(new Edit(line.ref(), Field.SWITCHER, "", switcher.id().toString()));
                edits.add(new Edit(line.ref(), Field.INPUT, "", Integer.toString(number)));
                return;
            }
        }
    }

    private List<Edit> addresses() {
        Job after = editor.apply(job, ChangeSet.edits(edits));
        List<Edit> moves = new ArrayList<>();
        for (var facts : JobAddresses.facts(after)) {
            for (Move m : AddressPlanner.plan(facts).moves()) {
                String from = m.from().map(Ipv4::toString).orElse("");
                moves.add(Edit.of(m.device(), Field.ADDRESS, from, m.to().toString()));
            }
        }
        return moves;
    }
}
