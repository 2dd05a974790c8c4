package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.DeviceSocket;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.PowerSource;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.asked.SwitchPort;
import app.jerboa.standin.asked.SwitchView;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** A network switch of the hall as it would tell itself. */
final class SwitchPorts {
    private SwitchPorts() {}

    static SwitchView of(Hall hall, RigDevice d) {
        DeviceId id = d.plan().id();
        List<SwitchPort> ports = new ArrayList<>();
        double given = 0;
        for (DeviceSocket s : DeviceSocket.of(d.profile())) {
            if (s.signal() == Signal.NETWORK && !s.configures()) {
                Optional<Link> link = at(hall, id, s);
                ports.add(port(hall, d, s, link, ports.size() + 1));
                given += link.map(l -> watts(hall, l.beyond(id).device().id(), id)).orElse(0.0);
            }
        }
        return new SwitchView(
                d.name(),
                d.profile().name(),
                d.profile().gives().map(PowerSource::budgetWatts).orElse(0.0),
                given,
                ports);
    }

    private static Optional<Link> at(Hall hall, DeviceId id, DeviceSocket s) {
        return hall.patch()
                .plugged()
                .at(id, Signal.NETWORK)
                .filter(l -> l.at(id).socket().equals(s))
                .findFirst();
    }

    private static double watts(Hall hall, DeviceId fed, DeviceId source) {
        Powering.Power p = hall.power(fed);
        return p.from().filter(source::equals).isPresent() ? p.watts() : 0;
    }

    private static SwitchPort port(
            Hall hall, RigDevice d, DeviceSocket s, Optional<Link> link, int index) {
        DeviceId id = d.plan().id();
        Port own = new Port(id, s.name());
        boolean feeds = PowerPlan.gives(new Link.Plug(d.plan(), s));
        Optional<Link.Plug> other = link.map(l -> l.beyond(id));
        boolean fed = other.filter(o -> watts(hall, o.device().id(), id) > 0).isPresent();
        return new SwitchPort(
                index,
                s.name(),
                hall.portState(own) == Port.State.ON,
                link.filter(hall.segments()::lit).isPresent(),
                link.map(l -> heard(hall, id, l)).orElse(List.of()),
                other.filter(o -> o.device().profile().kind() == DeviceKind.NETWORK_SWITCH)
                        .map(o -> o.device().name())
                        .orElse(""),
                feeds,
                fed
                        ? other.get().device().profile().draw().map(PowerDraw::poeClass).get()
                        : OptionalInt.empty());
    }

    /** Who has been heard behind a port: all that are up there, and announce themselves. */
    private static List<String> heard(Hall hall, DeviceId id, Link link) {
        Segments now = hall.segments();
        Set<DeviceId> behind = now.carries(link) ? now.behind(link, id) : Set.of();
        return hall.devices().stream()
                .filter(o -> behind.contains(o.plan().id()))
                .filter(o -> o.phase() == RigDevice.Phase.UP && !o.mac().isEmpty())
                .map(RigDevice::mac)
                .toList();
    }
}
