package app.jerboa.core.job.addresses;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.net.AddressBlocks;
import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.AddressedDevice;
import app.jerboa.core.net.CountingRun;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Network;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** A job's facts for the address plan. */
public final class JobAddresses {
    private JobAddresses() {}

    private static final Parts OURS =
            Parts.of(ItemKind.SITE, ItemKind.SUBNET, ItemKind.DEVICE, ItemKind.LINE);

    private static final Parts READS = OURS.with(ItemKind.RANGE);

    private record All(List<AddressFacts> facts) {}

    /** What of the job belongs in one subnet, whatever else the house has in it. */
    private record Ours(List<AddressedDevice> devices, List<CountingRun> runs) {}

    private record AllOurs(List<Ours> ofSubnets, List<AddressBlocks> blocks) {}

    /** One for each subnet, in their order. */
    public static List<AddressFacts> facts(Job job) {
        return job.worked(All.class, READS, All.class, () -> new All(gathered(job))).facts();
    }

    /** Where each role's addresses go; one for each subnet, in their order. */
    public static List<AddressBlocks> blocks(Job job) {
        return ours(job).blocks();
    }

    private static List<AddressFacts> gathered(Job job) {
        List<Ours> ours = ours(job).ofSubnets();
        List<AddressFacts> facts = new ArrayList<>();
        for (Subnet subnet : job.subnets()) {
            Ours here = ours.get(facts.size());
            facts.add(new AddressFacts(job.lan(subnet), here.devices(), here.runs()));
        }
        return facts;
    }

    private static AllOurs ours(Job job) {
        return job.worked(
                AllOurs.class,
                OURS,
                AllOurs.class,
                () -> {
                    List<CountingRun> runs = runs(job);
                    Map<DeviceId, Subnet> homes = homes(job, runs);
                    List<Ours> ours = new ArrayList<>();
                    List<AddressBlocks> blocks = new ArrayList<>();
                    for (Subnet subnet : job.subnets()) {
                        Ours here = ours(job, subnet, homes, runs);
                        ours.add(here);
                        blocks.add(AddressBlocks.of(subnet.range(), here.devices()));
                    }
                    return new AllOurs(ours, blocks);
                });
    }

    /**
     * The edits that bring a device into another subnet of the job, to the lowest place of its
     * block that is free there; empty when none is.
     */
    public static List<Edit> into(Job job, Subnet subnet, Device d) {
        AddressFacts there = facts(job).get(job.subnets().indexOf(subnet));
        AddressedDevice homeless =
                new AddressedDevice(
                        d.id(),
                        d.name(),
                        d.profile().kind().addressRole(),
                        Optional.empty(),
                        subnet.range().prefix(),
                        Optional.of(subnet.gateway()),
                        false,
                        false,
                        false,
                        false,
                        d.profile().factory());
        List<AddressedDevice> all = new ArrayList<>(there.devices());
        all.removeIf(o -> o.id().equals(d.id()));
        all.add(homeless);
        return AddressPlanner.plan(new AddressFacts(there.lan(), all, there.runs()))
                .moves()
                .stream()
                .filter(m -> m.device().equals(d.id()))
                .findFirst()
                .map(m -> edits(d, subnet, m.to()))
                .orElse(List.of());
    }

    private static List<Edit> edits(Device d, Subnet subnet, Ipv4 to) {
        Map<Field, String> after =
                Map.of(
                        Field.ADDRESS, to.toString(),
                        Field.PREFIX, Integer.toString(subnet.range().prefix()),
                        Field.GATEWAY, subnet.gateway().toString());
        return Stream.of(Field.ADDRESS, Field.PREFIX, Field.GATEWAY)
                .map(f -> new Edit(d.ref(), f, JobItems.text(d, f), after.get(f)))
                .filter(e -> !e.before().equals(e.after()))
                .toList();
    }

    private static Ours ours(
            Job job, Subnet subnet, Map<DeviceId, Subnet> homes, List<CountingRun> runs) {
        boolean leases = job.site().habits().practice(Field.PRACTICE_ADDRESSES).equals("lease");
        return new Ours(
                job.devices().stream()
                        .filter(d -> subnet.equals(homes.get(d.id())))
                        .map(d -> device(d, leases))
                        .toList(),
                runs.stream().filter(r -> subnet.equals(homes.get(r.controller()))).toList());
    }

    /**
     * The subnet each device belongs in: the one its planned address lies in, else the first; but
     * cameras of a counting controller belong where the controller is.
     */
    private static Map<DeviceId, Subnet> homes(Job job, List<CountingRun> runs) {
        Map<DeviceId, Subnet> homes = new HashMap<>();
        for (Device d : job.devices()) {
            if (d.addressed()) {
                homes.put(d.id(), home(job, d));
            }
        }
        for (CountingRun run : runs) {
            run.cameras().forEach(k -> homes.put(k.camera(), homes.get(run.controller())));
        }
        return homes;
    }

    private static Subnet home(Job job, Device d) {
        return d.address()
                .flatMap(a -> job.subnets().stream().filter(s -> s.range().contains(a)).findFirst())
                .orElse(job.subnets().get(0));
    }

    /** It takes a lease as planned: it can do nothing else, or the house does it so. */
    private static boolean leases(Device d, boolean habit) {
        return d.profile().network().filter(Network::leaseOnly).isPresent()
                || habit && d.address().isEmpty() && d.profile().kind() != DeviceKind.ROUTER;
    }

    private static AddressedDevice device(Device d, boolean leases) {
        return new AddressedDevice(
                d.id(),
                d.name(),
                d.profile().kind().addressRole(),
                d.address(),
                d.prefix(),
                d.gateway(),
                d.reserved(),
                leases(d, leases),
                d.set(),
                d.profile().kind() == DeviceKind.ROUTER,
                d.profile().factory());
    }

    private static List<CountingRun> runs(Job job) {
        Map<DeviceId, Map<Integer, DeviceId>> keyed = new HashMap<>();
        Map<DeviceId, Device> byId = new HashMap<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        for (Line line : job.lines()) {
            line.keys()
                    .filter(k -> byId.get(line.camera()).addressed())
                    .forEach(
                            k ->
                                    keyed.computeIfAbsent(k.controller(), c -> new TreeMap<>())
                                            .putIfAbsent(k.number(), line.camera()));
        }
        List<CountingRun> runs = new ArrayList<>();
        for (Device d : job.devices()) {
            d.profile()
                    .keys()
                    .filter(k -> k.counting() && keyed.containsKey(d.id()))
                    .ifPresent(k -> runs.add(run(d, k, keyed.get(d.id()))));
        }
        return runs;
    }

    private static CountingRun run(Device d, Keys keys, Map<Integer, DeviceId> cameras) {
        List<CountingRun.Keyed> keyed =
                cameras.entrySet().stream()
                        .map(e -> new CountingRun.Keyed(e.getKey(), e.getValue()))
                        .toList();
        return new CountingRun(d.id(), d.name(), keys.first(), keys.lastOctetOnly(), keyed);
    }
}
