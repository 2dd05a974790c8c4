package app.jerboa.core.net;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/** Small address worlds for tests. */
final class Worlds {
    private Worlds() {}

    static Lan lan(String cidr, String gateway, List<Ipv4Range> pools, String... taken) {
        List<TakenAddresses> others =
                IntStream.range(0, taken.length)
                        .mapToObj(
                                i ->
                                        new TakenAddresses(
                                                Ipv4Range.of(Ipv4.parse(taken[i])), "till " + i))
                        .toList();
        return new Lan(Ipv4Subnet.parse(cidr), Ipv4.parse(gateway), pools, List.of(), others);
    }

    static Lan house(String... taken) {
        return lan(
                "10.44.8.0/24",
                "10.44.8.254",
                List.of(Ipv4Range.parse("10.44.8.100", "10.44.8.199")),
                taken);
    }

    static AddressedDevice camera(long id, String address) {
        return device(id, AddressRole.CAMERA, address, false);
    }

    static AddressedDevice device(long id, AddressRole role, String address, boolean set) {
        return new AddressedDevice(
                new DeviceId(id),
                "D" + id,
                role,
                address.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(address)),
                24,
                Optional.empty(),
                false,
                false,
                set,
                false,
                Optional.empty());
    }

    static CountingRun run(long... cameras) {
        List<CountingRun.Keyed> keyed = new ArrayList<>();
        for (int i = 0; i < cameras.length; i++) {
            keyed.add(new CountingRun.Keyed(i + 1, new DeviceId(cameras[i])));
        }
        return new CountingRun(new DeviceId(900), "stick", 1, true, keyed);
    }

    /** The facts after a fix, so that a test can look whether the finding is gone. */
    static AddressFacts after(AddressFacts facts, List<Edit> changes) {
        List<AddressedDevice> devices = new ArrayList<>(facts.devices());
        for (Edit c : changes) {
            devices.replaceAll(d -> d.id().value() == c.item().id() ? with(d, c) : d);
        }
        return new AddressFacts(facts.lan(), devices, facts.runs());
    }

    private static AddressedDevice with(AddressedDevice d, Edit c) {
        boolean address = c.field() == Field.ADDRESS;
        return new AddressedDevice(
                d.id(),
                d.name(),
                d.role(),
                address
                        ? Optional.of(c.after()).filter(a -> !a.isEmpty()).map(Ipv4::parse)
                        : d.address(),
                c.field() == Field.PREFIX ? Integer.parseInt(c.after()) : d.prefix(),
                c.field() == Field.GATEWAY ? Optional.of(Ipv4.parse(c.after())) : d.gateway(),
                d.reserved() || c.field() == Field.RESERVED,
                d.leases(),
                d.set(),
                d.isGateway(),
                d.factory());
    }

    /**
     * A crowded /28: pool, taken, a few devices anywhere (also on bad ground), one run of cameras.
     */
    static AddressFacts crowded(Random random) {
        String base = "10.1.1.";
        List<Ipv4Range> pools =
                random.nextBoolean() ? List.of(Ipv4Range.parse(base + 11, base + 12)) : List.of();
        Lan lan = lan(base + "0/28", base + 14, pools, base + (1 + random.nextInt(13)));
        int cameras = 1 + random.nextInt(4);
        List<AddressedDevice> devices = new ArrayList<>();
        for (int i = 1; i <= cameras; i++) {
            devices.add(randomDevice(random, i, AddressRole.CAMERA));
        }
        for (int i = 0; i < random.nextInt(4); i++) {
            devices.add(randomDevice(random, 50 + i, AddressRole.COMPUTER));
        }
        CountingRun run = run(IntStream.rangeClosed(1, cameras).mapToLong(i -> i).toArray());
        return new AddressFacts(lan, devices, List.of(run));
    }

    /** As {@link #crowded}, with a second controller that counts through cameras of its own. */
    static AddressFacts twoRuns(Random random) {
        AddressFacts one = crowded(random);
        int cameras = 1 + random.nextInt(3);
        List<AddressedDevice> devices = new ArrayList<>(one.devices());
        for (int i = 1; i <= cameras; i++) {
            devices.add(randomDevice(random, 30 + i, AddressRole.CAMERA));
        }
        List<CountingRun.Keyed> keyed = new ArrayList<>();
        for (int i = 1; i <= cameras; i++) {
            keyed.add(new CountingRun.Keyed(i, new DeviceId(30 + i)));
        }
        CountingRun second = new CountingRun(new DeviceId(901), "second", 1, true, keyed);
        return new AddressFacts(one.lan(), devices, List.of(one.runs().get(0), second));
    }

    private static AddressedDevice randomDevice(Random random, long id, AddressRole role) {
        String address = random.nextInt(5) == 0 ? "" : "10.1.1." + random.nextInt(17);
        return new AddressedDevice(
                new DeviceId(id),
                "D" + id,
                role,
                address.isEmpty() ? Optional.empty() : Optional.of(Ipv4.parse(address)),
                28,
                Optional.empty(),
                false,
                false,
                !address.isEmpty() && random.nextInt(4) == 0,
                false,
                Optional.empty());
    }
}
