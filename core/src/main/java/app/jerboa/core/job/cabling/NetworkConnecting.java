package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.power.PoeClass;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** One run for each device with a network: to a switch that can feed it and has most left. */
final class NetworkConnecting {
    private final Connecting all;
    private final List<Device> switches;
    private final Map<DeviceId, Double> spare = new HashMap<>();

    NetworkConnecting(Connecting all) {
        this.all = all;
        switches =
                all.job().devices().stream()
                        .filter(d -> d.profile().kind() == DeviceKind.NETWORK_SWITCH)
                        .toList();
        PowerPlan power = PowerPlan.of(all.cabling());
        switches.forEach(
                s ->
                        PoeBudget.of(power, s)
                                .ifPresent(
                                        b -> spare.put(s.id(), b.budgetWatts() - b.movingWatts())));
    }

    void all() {
        uplinks();
        if (!switches.isEmpty()) {
            all.inWorkingOrder().stream().filter(this::waits).forEach(this::connect);
        }
    }

    /** Each switch to the first one, the first one to the house's router. */
    private void uplinks() {
        Optional<Device> router =
                all.job().devices().stream()
                        .filter(d -> d.profile().kind() == DeviceKind.ROUTER)
                        .findFirst();
        for (Device s : switches) {
            Device first = switches.get(0);
            Optional<Device> up = s.equals(first) ? router : Optional.of(first);
            Optional<Link.Plug> out = uplink(s);
            Optional<Link.Plug> into =
                    up.flatMap(u -> u.equals(first) ? uplink(u) : port(u, false));
            if (out.isPresent() && into.isPresent() && !upAlready(s)) {
                all.join(out.get(), into.get());
            }
        }
    }

    private boolean upAlready(Device s) {
        return all.cabling()
                .at(s.id(), Signal.NETWORK)
                .map(l -> l.beyond(s.id()).device().profile().kind())
                .anyMatch(k -> k == DeviceKind.ROUTER || k == DeviceKind.NETWORK_SWITCH);
    }

    /** Ports that give no power, else the last one that does. */
    private Optional<Link.Plug> uplink(Device s) {
        return ports(s).filter(p -> !PowerPlan.gives(p))
                .findFirst()
                .or(() -> ports(s).reduce((a, b) -> b));
    }

    private Stream<Link.Plug> ports(Device d) {
        return all.free(d.id()).filter(p -> p.socket().join() == Join.ETHERNET);
    }

    private Optional<Link.Plug> port(Device d, boolean powered) {
        return ports(d).filter(p -> PowerPlan.gives(p) == powered).findFirst();
    }

    private boolean waits(Device d) {
        DeviceKind kind = d.profile().kind();
        boolean wired =
                d.profile().network().filter(n -> n.medium() != Medium.WIRELESS).isPresent();
        return wired && kind != DeviceKind.NETWORK_SWITCH && kind != DeviceKind.ROUTER;
    }

    private void connect(Device d) {
        Optional<Link.Plug> end = end(d).filter(p -> !all.has(p.device().id(), Signal.NETWORK));
        Optional<PowerDraw> draw = end.flatMap(p -> p.device().profile().draw()).filter(this::asks);
        Optional<Device> by = end.flatMap(p -> best(draw));
        by.flatMap(s -> plug(s, draw.isPresent())).ifPresent(p -> all.join(p, end.orElseThrow()));
        if (by.isPresent() && draw.isPresent()) {
            spare.merge(by.get().id(), -draw.get().mostWatts(), Double::sum);
        }
    }

    private Optional<Link.Plug> plug(Device s, boolean powered) {
        return port(s, powered).or(() -> port(s, !powered));
    }

    private boolean asks(PowerDraw draw) {
        return draw.poeClass().isPresent() && !draw.splitter();
    }

    /** Its own socket, else that of the adapter on it. */
    private Optional<Link.Plug> end(Device d) {
        return Stream.concat(
                        Stream.of(d),
                        all.kit().fitted(d.id()).stream()
                                .filter(a -> a.profile().sort() == Sort.NETWORK_ADAPTER))
                .flatMap(this::ports)
                .findFirst();
    }

    /** A device that needs power goes where its class is given and most watts are left. */
    private Optional<Device> best(Optional<PowerDraw> draw) {
        List<Device> open = switches.stream().filter(s -> ports(s).findAny().isPresent()).toList();
        Comparator<Device> most = Comparator.comparingDouble(s -> spare.getOrDefault(s.id(), 0.0));
        if (draw.isEmpty()) {
            return open.stream()
                    .max(
                            Comparator.<Device>comparingLong(s -> ports(s).count())
                                    .thenComparing(Device::id, Comparator.reverseOrder()));
        }
        double watts = draw.get().mostWatts();
        return open.stream()
                .filter(s -> port(s, true).isPresent() && portWatts(s) >= watts)
                .max(most.thenComparing(Device::id, Comparator.reverseOrder()))
                .or(() -> open.stream().max(most));
    }

    private static double portWatts(Device s) {
        return s.profile()
                .gives()
                .map(PowerSource::poeClass)
                .filter(c -> c.isPresent())
                .map(c -> PoeClass.of(c.getAsInt()).deviceWatts())
                .orElse(0.0);
    }
}
