package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.value.DeviceId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Wanted functions that nothing controls yet, and what would: a key on a controller of the van that
 * could, or what a controller must speak to be of use here.
 */
final class WithoutRoute {
    private final LinePlan plan;
    private final Line line;
    private final List<RemoteFunction> functions;

    private WithoutRoute(LinePlan plan, Line line, List<RemoteFunction> functions) {
        this.plan = plan;
        this.line = line;
        this.functions = functions;
    }

    static Finding of(LinePlan plan, Line line, List<RemoteFunction> functions) {
        return new WithoutRoute(plan, line, functions).finding();
    }

    private Finding finding() {
        Set<Device> able = able();
        List<String> speaks = answers();
        String what = !able.isEmpty() ? "key" : speaks.isEmpty() ? "never" : "speaks";
        Map<String, String> facts =
                Map.of(
                        "functions",
                                Naming.list(functions.stream().map(WithoutRoute::name).toList()),
                        "what", what,
                        "controllers", Naming.list(able.stream().map(Device::name).toList()),
                        "protocols", String.join(" or ", speaks));
        List<Fix> fixes = able.stream().flatMap(d -> key(d).stream()).toList();
        return plan.about(line, LineCodes.FUNCTION, Field.WANTS, facts).withFixes(fixes);
    }

    private static String name(RemoteFunction function) {
        return function.toString().replace('-', '/');
    }

    /** Controllers of the van that could do one of them, had they a key for the line. */
    private Set<Device> able() {
        return functions.stream()
                .flatMap(f -> plan.routes().all(line, f).stream())
                .map(ControlRoute::by)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** What the camera, or what is fitted to it, takes one of them by. */
    private List<String> answers() {
        Device camera = plan.camera(line);
        return Stream.concat(Stream.of(camera), plan.kit().fitted(camera.id()).stream())
                .flatMap(d -> d.profile().speaks().stream())
                .filter(s -> !s.sends() && functions.stream().anyMatch(s.carries()::contains))
                .map(WithoutRoute::said)
                .distinct()
                .toList();
    }

    private static String said(Speaks s) {
        return s.protocol() + " (" + s.over() + ")";
    }

    /**
     * A key in the first place of the line that is free for such a controller. One that counts its
     * cameras' addresses is left alone: its key would move them.
     */
    private Optional<Fix> key(Device controller) {
        boolean paints = controller.profile().sort() == Sort.PAINT_PANEL;
        if (paints) {
            return line.paint().isPresent()
                    ? Optional.empty()
                    : key(controller, Field.PANEL, Field.PANEL_KEY);
        }
        if (line.key().isEmpty()) {
            return key(controller, Field.CONTROLLER, Field.KEY);
        }
        return line.also().isPresent()
                ? Optional.empty()
                : key(controller, Field.ALSO, Field.ALSO_KEY);
    }

    private Optional<Fix> key(Device controller, Field place, Field number) {
        boolean has = line.keys().anyMatch(k -> k.controller().equals(controller.id()));
        Optional<Keys> keys = controller.profile().keys().filter(k -> !k.counting());
        OptionalInt free =
                has || keys.isEmpty() ? OptionalInt.empty() : free(controller.id(), keys.get());
        if (free.isEmpty()) {
            return Optional.empty();
        }
        String key = Integer.toString(free.getAsInt());
        return Optional.of(
                Fix.editing(
                        "give-key",
                        List.of(
                                new Edit(line.ref(), place, "", controller.id().toString()),
                                new Edit(line.ref(), number, "", key))));
    }

    /** The line's own number, else the lowest. */
    private OptionalInt free(DeviceId controller, Keys keys) {
        Set<Integer> used =
                plan.job().lines().stream()
                        .flatMap(Line::keys)
                        .filter(k -> k.controller().equals(controller))
                        .map(Line.Key::number)
                        .collect(Collectors.toSet());
        int first = keys.first();
        int end = first + keys.count();
        return IntStream.concat(
                        IntStream.of(first + line.number() - 1), IntStream.range(first, end))
                .filter(n -> n < end && !used.contains(n))
                .findFirst();
    }
}
