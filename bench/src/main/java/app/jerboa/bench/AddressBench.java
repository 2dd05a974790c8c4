package app.jerboa.bench;

import app.jerboa.core.net.AddressChecks;
import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.net.AddressRole;
import app.jerboa.core.net.AddressedDevice;
import app.jerboa.core.net.CountingRun;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.net.Lan;
import app.jerboa.core.net.TakenAddresses;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Plan and check of a large job: a tenth of the devices badly placed, a counting stick for every 8
 * cameras.
 */
final class AddressBench {
    private static final int WARM_UP = 60;
    private static final int ROUNDS = 60;

    private AddressBench() {}

    static Sample planAndCheck(int devices) {
        AddressFacts facts = job(devices);
        double[] millis = new double[ROUNDS];
        for (int i = -WARM_UP; i < ROUNDS; i++) {
            long start = System.nanoTime();
            int outcome =
                    AddressPlanner.plan(facts).moves().size() + AddressChecks.check(facts).size();
            long end = System.nanoTime();
            if (outcome == 0) {
                throw new IllegalStateException("this job has faults to find");
            }
            if (i >= 0) {
                millis[i] = (end - start) / 1e6;
            }
        }
        return Sample.of(millis);
    }

    private static AddressFacts job(int size) {
        Random random = new Random(1);
        Ipv4Subnet subnet = Ipv4Subnet.parse("10.64.0.0/16");
        Ipv4 base = subnet.network();
        List<AddressedDevice> devices = new ArrayList<>();
        List<CountingRun> runs = new ArrayList<>();
        List<CountingRun.Keyed> keyed = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            int place = random.nextInt(10) == 0 ? random.nextInt(65_536) : 1_000 + i;
            devices.add(camera(i, base.plus(place)));
            if (i < size / 10) {
                keyed.add(new CountingRun.Keyed(keyed.size() + 1, new DeviceId(i)));
                if (keyed.size() == 8) {
                    runs.add(
                            new CountingRun(
                                    new DeviceId(1_000_000 + i), "stick " + i, 1, true, keyed));
                    keyed = new ArrayList<>();
                }
            }
        }
        return new AddressFacts(lan(subnet, random), devices, runs);
    }

    private static AddressedDevice camera(int i, Ipv4 address) {
        var factory = new FactoryAddress(Ipv4.parse("192.168.77.10"), 24, Optional.empty());
        return new AddressedDevice(
                new DeviceId(i),
                "D" + i,
                AddressRole.CAMERA,
                Optional.of(address),
                16,
                Optional.empty(),
                false,
                false,
                false,
                false,
                Optional.of(factory));
    }

    private static Lan lan(Ipv4Subnet subnet, Random random) {
        Ipv4 base = subnet.network();
        List<TakenAddresses> taken = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            taken.add(
                    new TakenAddresses(
                            Ipv4Range.of(base.plus(1 + random.nextInt(65_000))), "house " + i));
        }
        var pool = new Ipv4Range(base.plus(40_000), base.plus(45_000));
        return new Lan(subnet, subnet.hosts().last(), List.of(pool), List.of(), taken);
    }
}
