package app.jerboa.core.job.line;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.ChosenRoute;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.RouteNeed;
import app.jerboa.core.job.control.Wanted;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.RemoteFunction;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Can every wanted function of every camera be controlled, and as somebody planned it? */
final class RouteCheck {
    private final LinePlan plan;
    private final List<Finding> found = new ArrayList<>();
    private final List<Device> remoteOff = new ArrayList<>();
    private final List<Device> split = new ArrayList<>();

    private RouteCheck(LinePlan plan) {
        this.plan = plan;
    }

    static List<Finding> of(LinePlan plan) {
        RouteCheck check = new RouteCheck(plan);
        plan.job().lines().forEach(check::line);
        check.several(check.remoteOff, LineCodes.REMOTE_OFF);
        check.several(check.split, LineCodes.SPLIT);
        return check.found;
    }

    private void several(List<Device> cameras, FindingCode code) {
        if (!cameras.isEmpty()) {
            List<DeviceId> ids = cameras.stream().map(Device::id).toList();
            Map<String, String> facts =
                    Map.of("devices", Naming.devices(cameras), "where", where(cameras.get(0)));
            found.add(Finding.of(code, ids, Field.CONTROLLER, facts));
        }
    }

    private static String where(Device camera) {
        return camera.profile().access().map(Access::remoteAt).orElse("");
    }

    private void line(Line line) {
        Device camera = plan.camera(line);
        Set<RemoteFunction> wanted = Wanted.of(line, camera.profile());
        Map<RemoteFunction, ControlRoute> planned = new LinkedHashMap<>();
        List<RemoteFunction> without = new ArrayList<>();
        for (RemoteFunction function : wanted) {
            plan.routes()
                    .planned(line, function)
                    .ifPresentOrElse(r -> planned.put(function, r), () -> without.add(function));
        }
        unkeyed(line, camera);
        if (wanted.contains(RemoteFunction.ZOOM) && !plan.routes().zooms(camera)) {
            without.remove(RemoteFunction.ZOOM);
        }
        boolean sound = without.remove(RemoteFunction.AUDIO);
        if (sound) {
            found.add(plan.about(line, LineCodes.AUDIO, Field.WANTS, Map.of()));
        }
        if (!without.isEmpty() && !plan.routes().lacksNetwork(camera)) {
            found.add(WithoutRoute.of(plan, line, without));
        }
        planned.values().forEach(r -> route(line, r));
        if (planned.values().stream().anyMatch(r -> r.needs().contains(RouteNeed.REMOTE_ON))) {
            remoteOff.add(camera);
        }
        Set<DeviceId> controllers = new LinkedHashSet<>();
        planned.values().stream()
                .filter(r -> r.function() != RemoteFunction.AUDIO)
                .forEach(r -> controllers.add(r.by().id()));
        if (controllers.size() > 1) {
            split.add(camera);
        }
        wireless(line, camera, planned);
        chosen(line);
    }

    /** On a key of a controller that cannot talk to it. */
    private void unkeyed(Line line, Device camera) {
        line.keys().forEach(key -> unkeyed(line, camera, plan.kit().device(key.controller())));
    }

    private void unkeyed(Line line, Device camera, Device controller) {
        boolean can =
                Wanted.ALL.stream().anyMatch(f -> plan.routes().drives(controller.id(), line, f));
        if (can) {
            return;
        }
        boolean usb =
                controller.profile().speaks().stream()
                        .anyMatch(s -> s.sends() && s.over() == Transport.USB);
        boolean setup =
                camera.profile().ports().stream()
                        .anyMatch(
                                p ->
                                        p.join() == Join.USB_DEVICE
                                                && p.use() == PortUse.CONFIGURATION);
        boolean locked = controller.profile().keys().filter(Keys::locked).isPresent();
        Map<String, String> facts =
                Map.of("controller", controller.name(), "what", locked ? "locked" : "");
        found.add(
                plan.about(
                        line,
                        usb && setup ? LineCodes.CONFIG_PORT : LineCodes.NO_PROTOCOL,
                        line.key().filter(k -> k.controller().equals(controller.id())).isPresent()
                                ? Field.CONTROLLER
                                : Field.PANEL,
                        facts));
    }

    private void route(Line line, ControlRoute route) {
        if (route.needs().contains(RouteNeed.PORT)
                && found.stream().noneMatch(f -> same(f, line, route))) {
            found.add(
                    Finding.of(
                            LineCodes.PORT,
                            List.of(line.camera(), route.by().id()),
                            Field.KEY,
                            Map.of(
                                    "device", plan.camera(line).name(),
                                    "controller", route.by().name(),
                                    "answers", port(route.answers()),
                                    "sends", port(route.sends()))));
        }
    }

    private static boolean same(Finding f, Line line, ControlRoute route) {
        return f.code().equals(LineCodes.PORT)
                && f.devices().equals(List.of(line.camera(), route.by().id()));
    }

    private static String port(Speaks s) {
        return Integer.toString(s.port().orElse(0));
    }

    /** Radio is a fall-back; alone it is one too few. */
    private void wireless(Line line, Device camera, Map<RemoteFunction, ControlRoute> planned) {
        boolean radioOnly =
                camera.profile().network().filter(n -> n.medium() == Medium.WIRELESS).isPresent();
        List<String> alone = new ArrayList<>();
        planned.forEach(
                (function, route) -> {
                    boolean only =
                            (radioOnly || route.wireless())
                                    && plan.routes()
                                            .ready(line, function)
                                            .allMatch(r -> radioOnly || r.wireless());
                    if (only) {
                        alone.add(function.toString().replace('-', '/'));
                    }
                });
        if (!alone.isEmpty()) {
            found.add(
                    plan.about(
                            line,
                            LineCodes.WIRELESS,
                            Field.CONTROLLER,
                            Map.of("functions", Naming.list(alone))));
        }
    }

    /** What somebody chose and what cannot be any more. */
    private void chosen(Line line) {
        for (RemoteFunction function : Wanted.ALL) {
            plan.routes()
                    .chosen(line, function)
                    .filter(
                            c ->
                                    plan.routes().all(line, function).stream()
                                            .noneMatch(ControlRoute::chosen))
                    .ifPresent(c -> found.add(impossible(line, function, c)));
        }
    }

    private Finding impossible(Line line, RemoteFunction function, ChosenRoute c) {
        Map<String, String> facts =
                Map.of(
                        "what", "chosen",
                        "controller", plan.name(c.controller()),
                        "function", function.toString().replace('-', '/'),
                        "protocol", c.protocol());
        return plan.about(line, LineCodes.NO_PROTOCOL, Field.ROUTE_BY, facts)
                .withFixes(List.of(new Fix("as-proposed", ChangeSet.removing(JobItems.item(c)))));
    }
}
