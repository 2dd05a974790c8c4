package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.profile.IdPlace;
import app.jerboa.core.profile.Ids;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** On one chain or bus every camera has an ID of its own, one that it can have. */
final class ControlIdCheck {
    /** VISCA addresses on one chain. */
    private static final int LONGEST_CHAIN = 7;

    private static final Set<Transport> SHARED = Set.of(Transport.RS_232, Transport.RS_485);

    /** What leads to the cameras last, and by which protocol. */
    private record Wire(DeviceId from, Protocol protocol, Transport over) {}

    private ControlIdCheck() {}

    static List<Finding> of(LinePlan plan) {
        Map<Wire, List<Line>> wires = new LinkedHashMap<>();
        for (Line line : plan.job().lines()) {
            wire(plan, line)
                    .ifPresent(w -> wires.computeIfAbsent(w, x -> new ArrayList<>()).add(line));
        }
        List<Finding> found = new ArrayList<>();
        wires.forEach((wire, lines) -> check(plan, wire, lines, found));
        return found;
    }

    private static Optional<Wire> wire(LinePlan plan, Line line) {
        return Stream.of(RemoteFunction.PAN_TILT, RemoteFunction.ZOOM, RemoteFunction.FOCUS)
                .flatMap(f -> plan.routes().planned(line, f).stream())
                .filter(r -> SHARED.contains(r.answers().over()))
                .map(r -> new Wire(last(r), r.answers().protocol(), r.answers().over()))
                .findFirst();
    }

    private static DeviceId last(ControlRoute r) {
        return r.through().isEmpty() ? r.by().id() : r.through().get(r.through().size() - 1).id();
    }

    private static void check(LinePlan plan, Wire wire, List<Line> lines, List<Finding> found) {
        Map<Integer, List<Line>> byId =
                lines.stream()
                        .collect(
                                Collectors.groupingBy(
                                        Line::controlId, LinkedHashMap::new, Collectors.toList()));
        Set<Integer> used = new TreeSet<>(byId.keySet());
        byId.forEach(
                (id, same) -> {
                    if (same.size() > 1) {
                        found.add(twice(plan, wire, same, used));
                    }
                });
        for (Line line : lines) {
            Ids ids = ids(plan, line);
            if (line.controlId() < ids.lowest() || line.controlId() > ids.highest()) {
                Map<String, String> facts =
                        Map.of(
                                "id", Integer.toString(line.controlId()),
                                "lowest", Integer.toString(ids.lowest()),
                                "highest", Integer.toString(ids.highest()));
                found.add(
                        plan.about(line, LineCodes.ID_RANGE, Field.CONTROL_ID, facts)
                                .withFixes(free(plan, List.of(line), used)));
            }
        }
        boolean chain = wire.over() == Transport.RS_232 && lines.size() > LONGEST_CHAIN;
        if (chain) {
            List<DeviceId> cameras = lines.stream().skip(LONGEST_CHAIN).map(Line::camera).toList();
            found.add(
                    Finding.of(
                            LineCodes.ID_RANGE,
                            cameras,
                            Field.CONTROL_ID,
                            Map.of(
                                    "what", "chain",
                                    "devices",
                                            Naming.list(cameras.stream().map(plan::name).toList()),
                                    "controller", plan.name(wire.from()),
                                    "count", Integer.toString(lines.size()))));
        }
    }

    private static Ids ids(LinePlan plan, Line line) {
        return plan.camera(line)
                .profile()
                .ids()
                .orElseGet(() -> new Ids(1, LONGEST_CHAIN, 1, IdPlace.MENU, OptionalInt.empty()));
    }

    private static Finding twice(LinePlan plan, Wire wire, List<Line> same, Set<Integer> used) {
        List<DeviceId> cameras = same.stream().map(Line::camera).toList();
        Finding finding =
                Finding.of(
                        LineCodes.ID_DUP,
                        cameras,
                        Field.CONTROL_ID,
                        Map.of(
                                "devices", Naming.list(cameras.stream().map(plan::name).toList()),
                                "id", Integer.toString(same.get(0).controlId()),
                                "controller", plan.name(wire.from()),
                                "over", wire.over().toString()));
        return finding.withFixes(free(plan, same.subList(1, same.size()), used));
    }

    /** The lowest IDs that no camera on the wire has. */
    private static List<Fix> free(LinePlan plan, List<Line> lines, Set<Integer> used) {
        List<Edit> edits = new ArrayList<>();
        for (Line line : lines) {
            Ids ids = ids(plan, line);
            Optional<Integer> next =
                    IntStream.rangeClosed(Math.max(1, ids.lowest()), ids.highest())
                            .boxed()
                            .filter(used::add)
                            .findFirst();
            if (next.isEmpty()) {
                return List.of();
            }
            edits.add(
                    new Edit(
                            line.ref(),
                            Field.CONTROL_ID,
                            Integer.toString(line.controlId()),
                            Integer.toString(next.get())));
        }
        return List.of(Fix.editing("free-id", edits));
    }
}
