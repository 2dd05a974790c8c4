package app.jerboa.core.job.cabling;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.ControlRoutes;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Chains and buses as the planned control routes want them, in the order of control IDs. */
final class SerialConnecting {
    private static final int LONGEST_CHAIN = 7;
    private static final Map<Transport, Signal> SIGNALS =
            Map.of(
                    Transport.RS_232, Signal.RS_232,
                    Transport.RS_422, Signal.RS_422,
                    Transport.RS_485, Signal.RS_485);

    /** The controller that starts it, and over what. */
    private record Start(DeviceId by, Signal signal) {}

    private final Connecting all;

    SerialConnecting(Connecting all) {
        this.all = all;
    }

    void all() {
        ControlRoutes routes = ControlRoutes.of(all.job());
        Map<Start, List<Line>> starts = new LinkedHashMap<>();
        for (Line line : all.job().lines()) {
            routes.planned(line, RemoteFunction.PAN_TILT)
                    .flatMap(SerialConnecting::start)
                    .ifPresent(s -> starts.computeIfAbsent(s, x -> new ArrayList<>()).add(line));
        }
        starts.forEach(this::connect);
    }

    private static Optional<Start> start(ControlRoute route) {
        Device last = route.through().isEmpty() ? route.by() : route.through().get(0);
        return Optional.ofNullable(SIGNALS.get(route.answers().over()))
                .map(s -> new Start(last.id(), s));
    }

    private void connect(Start start, List<Line> lines) {
        List<Line> inOrder =
                lines.stream().sorted(Comparator.comparingInt(Line::controlId)).toList();
        Optional<Link.Plug> from = out(start.by(), start.signal());
        int count = 0;
        for (Line line : inOrder) {
            DeviceId camera = line.camera();
            Optional<Link.Plug> in = into(camera, start.signal());
            if (from.isEmpty() || in.isEmpty() || all.has(camera, start.signal())) {
                continue;
            }
            all.join(from.get(), in.get(), start.signal().cables().get(0), more(start.signal()));
            count++;
            boolean on = start.signal() != Signal.RS_422 && count < LONGEST_CHAIN;
            from = on ? out(camera, start.signal()) : Optional.empty();
        }
    }

    private static Map<Field, String> more(Signal signal) {
        return signal == Signal.RS_485 && signal.cables().get(0) == Cable.PAIR
                ? Map.of(Field.FROM_PINS, "first-to-plus", Field.TO_PINS, "first-to-plus")
                : Map.of();
    }

    private Optional<Link.Plug> out(DeviceId device, Signal signal) {
        return all.free(device)
                .filter(p -> p.socket().signal() == signal && p.socket().join() != Join.RS_232_IN)
                .findFirst();
    }

    private Optional<Link.Plug> into(DeviceId device, Signal signal) {
        return all.free(device)
                .filter(p -> p.socket().signal() == signal && p.socket().join() != Join.RS_232_OUT)
                .findFirst();
    }
}
