package app.jerboa.standin.lan;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.Rig;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** The leads of a hall: which are plugged, and where they truly go. */
final class Patch {
    private final Map<Long, Lead> leads = new LinkedHashMap<>();
    private Job plan;
    private Optional<Job> lying = Optional.empty();
    private Map<DeviceId, Integer> depths = Map.of();

    Patch(Job plan) {
        this.plan = plan;
        measure();
    }

    /** Another version of the job: leads it still has lie as they did. */
    void follow(Job next) {
        plan = next;
        Set<Long> there = new HashSet<>();
        next.runs().forEach(r -> there.add(r.id()));
        leads.keySet().retainAll(there);
        lying = Optional.empty();
        measure();
    }

    Lead lead(long run) {
        return leads.getOrDefault(run, Lead.loose(Instant.EPOCH));
    }

    void put(long run, Lead lead) {
        leads.put(run, lead);
        lying = Optional.empty();
    }

    /** Everything is pulled, sound, and where it is planned. */
    void clear() {
        leads.clear();
        lying = Optional.empty();
    }

    Map<Long, Lead> all() {
        return new TreeMap<>(leads);
    }

    /**
     * @throws Rig.Missing for a run that the job has not
     */
    void need(long run) {
        if (plan.runs().stream().noneMatch(r -> r.id() == run)) {
            throw new Rig.Missing("no run " + run);
        }
    }

    /** As they were kept; a run that nobody had plugged lies loose. */
    void restore(Map<Long, Lead> kept) {
        clear();
        plan.runs().stream()
                .filter(r -> kept.containsKey(r.id()))
                .forEach(r -> leads.put(r.id(), kept.get(r.id())));
    }

    /** The job with the leads that are plugged, and no others, as they truly lie. */
    Job lying() {
        if (lying.isEmpty()) {
            List<Run> there =
                    plan.runs().stream()
                            .filter(r -> lead(r.id()).plugged())
                            .map(r -> lead(r.id()).of(r))
                            .toList();
            Set<ItemRef> loose =
                    plan.runs().stream()
                            .filter(r -> !lead(r.id()).plugged())
                            .map(Run::ref)
                            .collect(Collectors.toSet());
            lying = Optional.of(plan.followedBy(there, loose, Parts.of(ItemKind.RUN)));
        }
        return lying.get();
    }

    Cabling plugged() {
        return Cabling.of(lying());
    }

    Cabling planned() {
        return Cabling.of(plan);
    }

    /** How many leads a device is away from the router, by the plan; the larger the farther. */
    private void measure() {
        Map<DeviceId, Integer> found = new HashMap<>();
        for (DeviceKind root : List.of(DeviceKind.ROUTER, DeviceKind.NETWORK_SWITCH)) {
            for (Device d : plan.devices()) {
                if (d.profile().kind() == root && !found.containsKey(d.id())) {
                    spread(d.id(), found);
                }
            }
        }
        depths = found;
    }

    private void spread(DeviceId root, Map<DeviceId, Integer> found) {
        Deque<DeviceId> next = new ArrayDeque<>(List.of(root));
        found.put(root, 0);
        while (!next.isEmpty()) {
            DeviceId at = next.removeFirst();
            planned()
                    .at(at, Signal.NETWORK)
                    .map(l -> l.beyond(at).device().id())
                    .filter(d -> !found.containsKey(d))
                    .forEach(
                            d -> {
                                found.put(d, found.get(at) + 1);
                                next.addLast(d);
                            });
        }
    }

    /** The device whose lead a technician would call this one: the one away from the middle. */
    DeviceId owner(Link link) {
        DeviceId from = link.from().device().id();
        DeviceId to = link.to().device().id();
        if (link.signal() == Signal.NETWORK) {
            int a = depths.getOrDefault(from, Integer.MAX_VALUE);
            int b = depths.getOrDefault(to, Integer.MAX_VALUE);
            return a > b ? from : to;
        }
        boolean picture =
                EnumSet.of(Signal.SDI, Signal.HDMI, Signal.COMPOSITE, Signal.USB)
                        .contains(link.signal());
        return (picture ? link.source() : link.load()).device().id();
    }

    /** Its own leads, and those of what is fitted to it. */
    List<Link> ownLeads(DeviceId device) {
        return whole(device).stream()
                .flatMap(d -> planned().at(d).stream())
                .filter(l -> whole(device).contains(owner(l)))
                .distinct()
                .toList();
    }

    /** A device with all that is fitted to it. */
    Set<DeviceId> whole(DeviceId device) {
        Set<DeviceId> all = new LinkedHashSet<>(Set.of(device));
        planned().kit().fitted(device).forEach(d -> all.add(d.id()));
        return all;
    }
}
