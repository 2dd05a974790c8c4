package app.jerboa.core.job.bringup;

import static app.jerboa.core.job.bringup.Action.Kind.COUNT_FROM;
import static app.jerboa.core.job.bringup.Action.Kind.ENTER_AT_PANEL;
import static app.jerboa.core.job.bringup.Action.Kind.ENTER_BY_SEARCH;
import static app.jerboa.core.job.bringup.Action.Kind.ENTER_BY_WEB_PAGE;
import static app.jerboa.core.job.bringup.Action.Kind.ENTRY;
import static app.jerboa.core.job.bringup.Action.Kind.ENTRY_LOGIN;
import static app.jerboa.core.job.bringup.Action.Kind.SEARCH_HANDS_OUT;
import static app.jerboa.core.job.bringup.Action.Kind.SEARCH_KEEPS;
import static app.jerboa.core.job.bringup.Action.Kind.SERIAL_ENTRY;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Filling;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Putting cameras into a controller, the way it is filled. */
final class EntryActions {
    private EntryActions() {}

    /** Controllers that have cameras on their keys, in the order of the kit. */
    static List<DeviceId> order(Hall hall) {
        return hall.job().devices().stream()
                .filter(d -> d.profile().kind() == DeviceKind.CONTROLLER)
                .filter(d -> d.profile().keys().isPresent() && !hall.keyed(d.id()).isEmpty())
                .map(Device::id)
                .toList();
    }

    static List<Action> of(Hall hall, Device controller) {
        Keys keys = controller.profile().keys().orElseThrow();
        List<Line> lines =
                hall.keyed(controller.id()).stream()
                        .sorted(Comparator.comparingInt(l -> key(l, controller)))
                        .toList();
        List<Action> actions = new ArrayList<>();
        switch (way(hall, keys)) {
            case WEB_PAGE ->
                    actions.add(
                            Action.of(
                                    ENTER_BY_WEB_PAGE,
                                    controller.address().map(Ipv4::toString).orElse("")));
            case PANEL -> actions.add(Action.of(ENTER_AT_PANEL));
            case SEARCH -> {
                actions.add(Action.of(ENTER_BY_SEARCH));
                actions.add(Action.of(keys.searchHandsOut() ? SEARCH_HANDS_OUT : SEARCH_KEEPS));
            }
            case COUNTING -> countFrom(hall, keys, lines, controller).ifPresent(actions::add);
        }
        lines.forEach(l -> actions.addAll(entry(hall, controller, l)));
        return actions;
    }

    /** As the house likes it where the controller can, else its own first way. */
    private static Filling way(Hall hall, Keys keys) {
        String practice = hall.job().site().habits().practice(Field.PRACTICE_FILLING);
        return keys.filledBy().stream()
                .filter(f -> f.toString().equals(practice))
                .findFirst()
                .or(() -> keys.filledBy().stream().findFirst())
                .orElse(Filling.PANEL);
    }

    private static int key(Line line, Device controller) {
        return line.keys()
                .filter(k -> k.controller().equals(controller.id()))
                .map(Line.Key::number)
                .findFirst()
                .orElse(0);
    }

    /** The address that the controller's first key looks at. */
    private static Optional<Action> countFrom(
            Hall hall, Keys keys, List<Line> lines, Device controller) {
        return lines.stream()
                .filter(l -> hall.device(l.camera()).address().isPresent())
                .findFirst()
                .map(
                        l -> {
                            Ipv4 address = hall.device(l.camera()).address().get();
                            long first = address.bits() - (key(l, controller) - keys.first());
                            return Action.of(COUNT_FROM, new Ipv4(Math.max(0, first)).toString());
                        });
    }

    private static List<Action> entry(Hall hall, Device controller, Line line) {
        Device camera = hall.device(line.camera());
        String key = Integer.toString(key(line, controller));
        Optional<Speaks> speaks = controller.profile().drives(camera.profile());
        boolean network =
                speaks.filter(s -> s.over() == Transport.UDP || s.over() == Transport.TCP)
                                .isPresent()
                        || speaks.isEmpty();
        if (!network || camera.address().isEmpty()) {
            return List.of(
                    Action.about(SERIAL_ENTRY, camera)
                            .with("key", key)
                            .with("id", Integer.toString(line.controlId()))
                            .with("protocol", speaks.map(s -> s.protocol().toString()).orElse("")));
        }
        Optional<Speaks> answers = speaks.flatMap(s -> camera.profile().answers(s.protocol()));
        List<Action> actions = new ArrayList<>();
        actions.add(
                new Action(
                                ENTRY,
                                Map.of(),
                                camera.address().map(Ipv4::toString).orElse(""),
                                Optional.empty())
                        .with("device", camera.name())
                        .with("key", key)
                        .with("protocol", answers.map(s -> s.protocol().toString()).orElse("-"))
                        .with("port", port(answers)));
        if (answers.filter(Speaks::secured).isPresent()) {
            String user = camera.profile().access().map(Access::user).orElse("");
            actions.add(
                    Action.of(ENTRY_LOGIN, user)
                            .with("device", camera.name())
                            .with(hall.password(camera.id())));
        }
        return actions;
    }

    private static String port(Optional<Speaks> answers) {
        return answers.filter(s -> s.port().isPresent())
                .map(s -> s.over().toString().toUpperCase(Locale.ROOT) + " " + s.port().getAsInt())
                .orElse("-");
    }
}
