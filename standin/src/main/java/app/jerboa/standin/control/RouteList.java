package app.jerboa.standin.control;

import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.lan.Hall;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Routes as they are collected: most are hands, answered with the hall as it is afterwards. */
final class RouteList {
    private final Rig rig;
    private final List<Route<?>> all = new ArrayList<>();

    RouteList(Rig rig) {
        this.rig = rig;
    }

    Rig rig() {
        return rig;
    }

    List<Route<?>> all() {
        return List.copyOf(all);
    }

    <B> void add(
            String method,
            String path,
            Class<B> takes,
            Class<?> gives,
            String does,
            Route.Does<B> by) {
        all.add(new Route<>(method, path, takes, gives, does, by));
    }

    /** A hand that is answered with the hall as it is afterwards. */
    <B> void hand(String path, Class<B> takes, String does, Acts<B> by) {
        String method = takes == Void.class ? "POST" : "PUT";
        add(
                method,
                "/halls/{hall}/" + path,
                takes,
                Bodies.HallBody.class,
                does,
                (parts, body) -> {
                    Hall hall = rig.needHall(parts.get("hall"));
                    by.act(hall, parts, body);
                    return Bodies.HallBody.of(hall);
                });
    }

    /** Does something in a hall. */
    interface Acts<B> {
        void act(Hall hall, Map<String, String> parts, B body);
    }

    static DeviceId device(Map<String, String> parts) {
        return new DeviceId(number(parts.get("device")));
    }

    static long number(String text) {
        if (!text.matches("\\d{1,18}")) {
            throw new Rig.Missing("nothing here");
        }
        return Long.parseLong(text);
    }

    /** A hand at a device, answered with what a person sees there. */
    <B> void at(String what, Class<B> takes, String does, Function<B, Hand> hand) {
        add(
                takes == Void.class ? "POST" : "PUT",
                "/halls/{hall}/devices/{device}/" + what,
                takes,
                Bodies.Seen.class,
                does,
                (p, b) ->
                        Bodies.Seen.of(rig.needHall(p.get("hall")).hand(device(p), hand.apply(b))));
    }
}
