package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/** New devices for tests. */
final class SomeDevices {
    static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.44.8.81"), 24);
    private static final List<String> STARTS =
            List.of("192.168.77.10", "192.168.77.60", "172.29.3.20", "10.90.0.2", "");

    private SomeDevices() {}

    static NewDevice device(int id, String factory, int boot) {
        return NewDevice.fresh(new DeviceId(id), start(factory), planned(id), boot);
    }

    private static FactoryAddress start(String address) {
        return new FactoryAddress(Ipv4.parse(address), 24, Optional.empty());
    }

    private static Ipv4 planned(int id) {
        return new Ipv4(Ipv4.parse("10.44.0.20").bits() + id);
    }

    static List<NewDevice> rivals(int n, int boot) {
        return IntStream.rangeClosed(1, n).mapToObj(i -> device(i, "192.168.77.10", boot)).toList();
    }

    /** Of all kinds, some waiting for earlier ones. */
    static List<NewDevice> random(Random random, int n) {
        return IntStream.rangeClosed(1, n).mapToObj(i -> random(random, i, n)).toList();
    }

    private static NewDevice random(Random random, int id, int n) {
        String factory = STARTS.get(random.nextInt(STARTS.size()));
        Set<DeviceId> after = new HashSet<>();
        if (id > 1 && random.nextInt(3) == 0) {
            after.add(new DeviceId(1 + random.nextInt(Math.min(id - 1, n))));
        }
        Set<Work> needs = EnumSet.noneOf(Work.class);
        if (random.nextInt(6) == 0) {
            needs.add(Work.RESET);
        }
        return new NewDevice(
                new DeviceId(id),
                factory.isEmpty() ? Optional.empty() : Optional.of(start(factory)),
                false,
                planned(id),
                new int[] {8, 20, 60, 90}[random.nextInt(4)],
                random.nextBoolean() ? Set.of(Work.LEASE, Work.SEARCH, Work.PAIR) : Set.of(),
                random.nextBoolean(),
                needs,
                after,
                NewDevice.Progress.NONE);
    }
}
