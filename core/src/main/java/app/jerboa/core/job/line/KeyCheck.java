package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.identity.LineNumbers;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** One camera a key, one picture an input, and no more than there are. */
final class KeyCheck {
    /** A place on a device that one line takes. */
    private record Place(Line line, DeviceId on, int number, Field field) {}

    private final LinePlan plan;
    private final List<Finding> found = new ArrayList<>();

    private KeyCheck(LinePlan plan) {
        this.plan = plan;
    }

    static List<Finding> of(LinePlan plan) {
        KeyCheck check = new KeyCheck(plan);
        List<Place> keys = new ArrayList<>();
        List<Place> inputs = new ArrayList<>();
        for (Line line : plan.job().lines()) {
            line.key().ifPresent(k -> keys.add(place(line, k, Field.KEY)));
            line.also().ifPresent(k -> keys.add(place(line, k, Field.ALSO_KEY)));
            line.paint().ifPresent(k -> keys.add(place(line, k, Field.PANEL_KEY)));
            line.input()
                    .ifPresent(
                            i ->
                                    inputs.add(
                                            new Place(
                                                    line, i.switcher(), i.number(), Field.INPUT)));
            check.twoKeys(line);
        }
        byDevice(keys).forEach(check::keys);
        byDevice(inputs).forEach(check::inputs);
        return check.found;
    }

    private static Place place(Line line, Line.Key key, Field field) {
        return new Place(line, key.controller(), key.number(), field);
    }

    private static Map<DeviceId, List<Place>> byDevice(List<Place> places) {
        return places.stream()
                .collect(Collectors.groupingBy(Place::on, LinkedHashMap::new, Collectors.toList()));
    }

    private void twoKeys(Line line) {
        List<DeviceId> on = line.keys().map(Line.Key::controller).toList();
        if (on.stream().distinct().count() == on.size()) {
            return;
        }
        boolean painted =
                line.paint().filter(p -> on.indexOf(p.controller()) < on.size() - 1).isPresent();
        Field device = painted ? Field.PANEL : Field.ALSO;
        Field key = painted ? Field.PANEL_KEY : Field.ALSO_KEY;
        Line.Key second = painted ? line.paint().orElseThrow() : line.also().orElseThrow();
        Map<String, String> facts =
                Map.of("what", "two", "controller", plan.name(second.controller()));
        List<Edit> edits = List.of(cleared(line, device), cleared(line, key));
        found.add(
                plan.about(line, LineCodes.KEY_DUP, key, facts)
                        .withFixes(List.of(Fix.editing("one-key", edits))));
    }

    private static Edit cleared(Line line, Field field) {
        return new Edit(line.ref(), field, JobItems.text(line, field), "");
    }

    private void keys(DeviceId on, List<Place> places) {
        Device controller = plan.kit().device(on);
        int first = controller.profile().keys().map(Keys::first).orElse(1);
        int count = controller.profile().keys().map(Keys::count).orElse(0);
        shared(places, LineCodes.KEY_DUP, first, count);
        List<Place> beyond =
                places.stream()
                        .filter(p -> p.number() < first || p.number() >= first + count)
                        .toList();
        if (!beyond.isEmpty()) {
            found.add(
                    full(
                            beyond,
                            LineCodes.KEY_FULL,
                            Map.of(
                                    "controller", controller.name(),
                                    "count", Integer.toString(count),
                                    "first", Integer.toString(first),
                                    "last", Integer.toString(first + count - 1))));
        }
        serial(controller, places);
    }

    private void serial(Device controller, List<Place> places) {
        OptionalInt most =
                controller.profile().keys().map(Keys::serialKeys).orElse(OptionalInt.empty());
        if (most.isEmpty()) {
            return;
        }
        List<Place> serial =
                places.stream().filter(p -> !plan.camera(p.line()).profile().networked()).toList();
        if (serial.size() > most.getAsInt()) {
            found.add(
                    full(
                            serial.subList(most.getAsInt(), serial.size()),
                            LineCodes.KEY_FULL,
                            Map.of(
                                    "what", "serial",
                                    "controller", controller.name(),
                                    "count", Integer.toString(most.getAsInt()))));
        }
    }

    private Finding full(List<Place> beyond, FindingCode code, Map<String, String> facts) {
        List<DeviceId> cameras = beyond.stream().map(p -> p.line().camera()).toList();
        Map<String, String> all = new LinkedHashMap<>(facts);
        all.put("devices", Naming.list(cameras.stream().map(plan::name).toList()));
        return Finding.of(code, cameras, beyond.get(0).field(), all);
    }

    private void inputs(DeviceId on, List<Place> places) {
        Device switcher = plan.kit().device(on);
        int count = LineNumbers.inputs(switcher);
        shared(places, LineCodes.INPUT_TWICE, 1, count);
        List<Place> beyond = places.stream().filter(p -> p.number() > count).toList();
        if (!beyond.isEmpty()) {
            found.add(
                    full(
                            beyond,
                            LineCodes.INPUT_TWICE,
                            Map.of(
                                    "what", "beyond",
                                    "controller", switcher.name(),
                                    "count", Integer.toString(count))));
        }
    }

    private void shared(List<Place> places, FindingCode code, int first, int count) {
        Map<Integer, List<Place>> byNumber =
                places.stream()
                        .collect(
                                Collectors.groupingBy(
                                        Place::number, LinkedHashMap::new, Collectors.toList()));
        Set<Integer> free =
                IntStream.range(first, first + count)
                        .filter(n -> !byNumber.containsKey(n))
                        .boxed()
                        .collect(Collectors.toCollection(TreeSet::new));
        byNumber.forEach(
                (number, same) -> {
                    if (same.size() > 1) {
                        found.add(twice(same, code, free));
                    }
                });
    }

    /** All but the first move to what is free, lowest first. */
    private Finding twice(List<Place> same, FindingCode code, Set<Integer> free) {
        List<DeviceId> cameras = same.stream().map(p -> p.line().camera()).toList();
        Place one = same.get(0);
        Finding finding =
                Finding.of(
                        code,
                        cameras,
                        one.field(),
                        Map.of(
                                "devices", Naming.list(cameras.stream().map(plan::name).toList()),
                                "controller", plan.name(one.on()),
                                "number", Integer.toString(one.number())));
        if (free.size() < same.size() - 1) {
            return finding;
        }
        List<Edit> edits = new ArrayList<>();
        for (Place place : same.subList(1, same.size())) {
            int next = free.iterator().next();
            free.remove(next);
            edits.add(
                    new Edit(
                            place.line().ref(),
                            place.field(),
                            Integer.toString(place.number()),
                            Integer.toString(next)));
        }
        return finding.withFixes(List.of(Fix.editing("free-place", edits)));
    }
}
