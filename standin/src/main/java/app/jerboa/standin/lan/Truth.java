package app.jerboa.standin.lan;

import app.jerboa.core.job.cabling.Link;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.controller.Entries;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Condition;
import app.jerboa.standin.fault.Faults;
import app.jerboa.standin.picture.Switcher;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** What everything in a hall really is set to, and who really reaches whom. Without passwords. */
public record Truth(
        Instant now,
        List<OfDevice> devices,
        List<OfRun> runs,
        Map<String, OfAddress> addresses,
        List<OfKey> keys,
        List<OfChannel> channels,
        Map<String, OfSwitcher> switchers,
        Map<String, Ipv4> leases,
        List<Faults.Put> faults) {
    /**
     * @param power what gives it power, or why it has none
     * @param volts that reach it over a lead; 0 where nobody counts them
     * @param reached the laptop's frames get to it
     */
    public record OfDevice(
            long id,
            String name,
            RigDevice.Phase phase,
            String power,
            double volts,
            double watts,
            Condition condition,
            boolean reached) {}

    /**
     * @param lit its lights are on at both ends; {@code carries} once a switch lets through
     */
    public record OfRun(
            long id,
            String from,
            String to,
            boolean plugged,
            boolean lit,
            boolean carries,
            Optional<RunFault> fault) {}

    /**
     * @param answering all that hold it and hear the laptop
     * @param holder the one that gets what is sent there now
     */
    public record OfAddress(List<Long> answering, Optional<Long> holder) {}

    /**
     * @param moves the devices that move, or are painted, when this key is pressed and used
     */
    public record OfKey(long controller, int key, Entry entry, List<Long> moves) {}

    /**
     * @param from the devices whose stream a recorder takes on this channel
     */
    public record OfChannel(long recorder, int channel, Entry entry, List<Long> from) {}

    /** One picture switcher. */
    public record OfSwitcher(
            int programme, int preview, Map<Integer, Switcher.Input> inputs, String tally) {}

    public static Truth of(Hall hall) {
        Set<DeviceId> reached = hall.reachedByLaptop();
        Segments segments = hall.segments();
        Map<Long, Link> lying = new HashMap<>();
        hall.patch().plugged().links().forEach(l -> lying.put(l.run().id(), l));
        return new Truth(
                hall.now(),
                hall.devices().stream().map(d -> of(hall, d, reached)).toList(),
                hall.leads().stream().map(l -> of(hall, segments, l, lying)).toList(),
                addresses(hall),
                keys(hall),
                channels(hall),
                switchers(hall),
                hall.leases(),
                hall.faults());
    }

    private static OfDevice of(Hall hall, RigDevice d, Set<DeviceId> reached) {
        Powering.Power power = hall.power(d.plan().id());
        return new OfDevice(
                d.plan().id().value(),
                d.name(),
                d.phase(),
                power.why(),
                power.volts(),
                power.watts(),
                d.condition(),
                reached.contains(d.plan().id()));
    }

    private static OfRun of(Hall hall, Segments now, Link planned, Map<Long, Link> lying) {
        Lead lead = hall.patch().lead(planned.run().id());
        Optional<Link> lies = Optional.ofNullable(lying.get(planned.run().id()));
        return new OfRun(
                planned.run().id(),
                lies.orElse(planned).from().toString(),
                lies.orElse(planned).to().toString(),
                lead.plugged(),
                lies.filter(now::lit).isPresent(),
                lies.filter(now::carries).isPresent(),
                TrueFault.of(lies.orElse(planned), lead));
    }

    private static Map<String, OfAddress> addresses(Hall hall) {
        Map<String, OfAddress> all = new TreeMap<>();
        for (RigDevice d : hall.devices()) {
            Ipv4 address = d.settings().address();
            if (d.phase() == RigDevice.Phase.UP && address.bits() != 0) {
                all.computeIfAbsent(address.toString(), a -> of(hall, address));
            }
        }
        return all;
    }

    private static OfAddress of(Hall hall, Ipv4 address) {
        return new OfAddress(
                hall.answering(address).stream().map(d -> d.plan().id().value()).toList(),
                hall.holder(address).map(d -> d.plan().id().value()));
    }

    private static List<OfKey> keys(Hall hall) {
        List<OfKey> keys = new ArrayList<>();
        Sticks sticks = new Sticks(hall);
        for (RigDevice c : Sticks.controllers(hall)) {
            DeviceId id = c.plan().id();
            Entries held = hall.entries(id).orElseThrow();
            held.all()
                    .forEach(
                            (key, entry) ->
                                    keys.add(
                                            new OfKey(
                                                    id.value(),
                                                    key,
                                                    entry,
                                                    sticks.moves(id, key).stream()
                                                            .map(DeviceId::value)
                                                            .toList())));
        }
        return keys;
    }

    private static List<OfChannel> channels(Hall hall) {
        List<OfChannel> channels = new ArrayList<>();
        for (RigDevice r : hall.devices()) {
            DeviceId id = r.plan().id();
            if (r.profile().sort() == Sort.RECORDER && r.phase() == RigDevice.Phase.UP) {
                hall.entries(id)
                        .orElseThrow()
                        .entered()
                        .forEach(
                                (n, e) ->
                                        channels.add(
                                                new OfChannel(
                                                        id.value(), n, e, streams(hall, id, e))));
            }
        }
        return channels;
    }

    private static List<Long> streams(Hall hall, DeviceId recorder, Entry entry) {
        return entry
                .address()
                .flatMap(a -> hall.holderFor(recorder, a))
                .filter(
                        d ->
                                d.profile().port(entry.protocol()).stream()
                                        .anyMatch(p -> p == entry.port()))
                .map(d -> d.plan().id().value())
                .stream()
                .toList();
    }

    private static Map<String, OfSwitcher> switchers(Hall hall) {
        Map<String, OfSwitcher> all = new LinkedHashMap<>();
        for (RigDevice d : hall.devices()) {
            hall.switcher(d.plan().id())
                    .ifPresent(
                            s -> {
                                Map<Integer, Switcher.Input> inputs = s.inputs();
                                Switcher.Input on =
                                        inputs.getOrDefault(
                                                s.state().programme(),
                                                new Switcher.Input("", "", false));
                                all.put(
                                        d.id(),
                                        new OfSwitcher(
                                                s.state().programme(),
                                                s.state().preview(),
                                                inputs,
                                                on.from()));
                            });
        }
        return all;
    }
}
