package app.jerboa.core.job.cabling.seen;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.job.cabling.PowerPlan;
import app.jerboa.core.job.cabling.seen.SeenRun.Place;
import app.jerboa.core.job.cabling.seen.SeenRun.Remark;
import app.jerboa.core.job.cabling.seen.SeenRun.Verdict;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.PowerDraw;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Which device hangs on which port, from the addresses that network switches have heard (RFC 4188),
 * beside the runs that are planned. Uplinks are left out: a port where another switch announced
 * itself, or where several addresses are heard.
 *
 * @param runs in the order of the devices
 * @param unknown MAC addresses that no device of the job has, with the port that hears each
 */
public record SeenWiring(List<SeenRun> runs, Map<String, Place> unknown) {
    /**
     * @param seen those switches that answered, each once
     */
    public static SeenWiring of(Cabling cabling, List<SwitchSeen> seen) {
        Map<String, Place> heard = heard(seen);
        Map<Place, PortTold> told = new HashMap<>();
        seen.forEach(
                s ->
                        s.ports()
                                .forEach(
                                        p ->
                                                told.put(
                                                        new Place(s.networkSwitch(), p.name()),
                                                        p.told())));
        Told ports = new Told(told, PowerPlan.of(cabling));
        Set<DeviceId> answered = new HashSet<>();
        seen.forEach(s -> answered.add(s.networkSwitch()));
        List<SeenRun> runs = new ArrayList<>();
        Map<String, Place> unknown = new TreeMap<>(heard);
        for (Device d : cabling.job().devices()) {
            unknown.remove(d.mac());
            run(cabling, d, heard, ports, answered).ifPresent(runs::add);
        }
        return new SeenWiring(List.copyOf(runs), unknown);
    }

    /**
     * The last switch wins over one that heard it earlier: both would be its own port only once.
     */
    private static Map<String, Place> heard(List<SwitchSeen> seen) {
        Map<String, Place> heard = new HashMap<>();
        for (SwitchSeen s : seen) {
            s.ports().stream()
                    .filter(p -> !p.uplink())
                    .forEach(
                            p ->
                                    p.heard()
                                            .forEach(
                                                    mac ->
                                                            heard.put(
                                                                    mac,
                                                                    new Place(
                                                                            s.networkSwitch(),
                                                                            p.name()))));
        }
        return heard;
    }

    private static Optional<SeenRun> run(
            Cabling cabling,
            Device d,
            Map<String, Place> heard,
            Told ports,
            Set<DeviceId> answered) {
        if (d.profile().kind() == DeviceKind.NETWORK_SWITCH || !d.profile().networked()) {
            return Optional.empty();
        }
        Optional<Link> link = planned(cabling, d);
        Optional<Place> planned = link.map(l -> place(switchEnd(l).orElseThrow()));
        Optional<Place> at =
                d.mac().isEmpty() ? Optional.empty() : Optional.ofNullable(heard.get(d.mac()));
        boolean told = planned.filter(p -> answered.contains(p.networkSwitch())).isPresent();
        if (!told && at.isEmpty()) {
            return Optional.empty();
        }
        Verdict verdict = verdict(d, planned, at);
        List<Edit> follows =
                verdict == Verdict.ELSEWHERE
                        ? follow(link.orElseThrow(), at.orElseThrow())
                        : List.of();
        return Optional.of(
                new SeenRun(
                        d,
                        link.map(Link::run),
                        planned,
                        at,
                        at.map(ports::at).orElse(PortTold.NOTHING),
                        at.map(p -> ports.remark(d, p)).orElse(Remark.NOTHING),
                        verdict,
                        follows));
    }

    /** What the ports tell, beside how the devices there are to be fed. */
    private record Told(Map<Place, PortTold> ports, PowerPlan power) {
        PortTold at(Place place) {
            return ports.getOrDefault(place, PortTold.NOTHING);
        }

        Remark remark(Device d, Place place) {
            PortTold told = at(place);
            OptionalInt planned =
                    d.profile().draw().map(PowerDraw::poeClass).orElse(OptionalInt.empty());
            boolean fedThere =
                    power.to(d.id())
                            .filter(f -> f.port().device().id().equals(place.networkSwitch()))
                            .isPresent();
            if (told.slow()) {
                return Remark.SLOW;
            } else if (fedThere && !told.powers()) {
                return Remark.UNFED;
            }
            boolean otherClass =
                    told.powerClass().isPresent()
                            && planned.isPresent()
                            && !told.powerClass().equals(planned);
            return otherClass ? Remark.OTHER_CLASS : Remark.NOTHING;
        }
    }

    private static Verdict verdict(Device d, Optional<Place> planned, Optional<Place> at) {
        if (at.isEmpty()) {
            return d.mac().isEmpty() ? Verdict.NO_MAC : Verdict.NOT_HEARD;
        } else if (planned.isEmpty()) {
            return Verdict.UNPLANNED;
        }
        return planned.equals(at) ? Verdict.AS_PLANNED : Verdict.ELSEWHERE;
    }

    /** The port of a network switch that the plan has for a device; empty where it has none. */
    public static Optional<Place> planned(Job job, Device d) {
        return planned(Cabling.of(job), d).map(l -> place(switchEnd(l).orElseThrow()));
    }

    /** What makes the plan say that a device hangs there; empty where it has no run to change. */
    public static List<Edit> following(Job job, Device d, Place at) {
        return planned(Cabling.of(job), d).map(l -> follow(l, at)).orElse(List.of());
    }

    /** Its own run to a network switch, or that of the adapter that is fitted to it. */
    private static Optional<Link> planned(Cabling cabling, Device d) {
        return Stream.concat(Stream.of(d), cabling.kit().fitted(d.id()).stream())
                .flatMap(x -> cabling.at(x.id(), Signal.NETWORK))
                .filter(l -> switchEnd(l).isPresent())
                .findFirst();
    }

    private static Optional<Link.Plug> switchEnd(Link l) {
        return Stream.of(l.from(), l.to())
                .filter(e -> e.device().profile().kind() == DeviceKind.NETWORK_SWITCH)
                .findFirst();
    }

    private static Place place(Link.Plug plug) {
        return new Place(plug.device().id(), plug.socket().name());
    }

    private static List<Edit> follow(Link link, Place at) {
        boolean near = switchEnd(link).orElseThrow().equals(link.from());
        return Stream.of(
                        edit(
                                link.run(),
                                near ? Field.RUN_FROM : Field.RUN_TO,
                                at.networkSwitch().toString()),
                        edit(link.run(), near ? Field.FROM_PORT : Field.TO_PORT, at.port()))
                .filter(e -> !e.before().equals(e.after()))
                .toList();
    }

    private static Edit edit(Run run, Field field, String after) {
        return new Edit(run.ref(), field, JobItems.text(run, field), after);
    }
}
