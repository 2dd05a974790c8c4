package app.jerboa.bench;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.BringUpPlan;
import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * The bring-up of a hall by one method: nine factory addresses in three subnets, and a switch for
 * every twenty devices that must come before them.
 */
final class PlanBench {
    private static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.64.255.250"), 16);
    private static final String[] SUBNETS = {"192.168.77.", "172.29.3.", "10.90.0."};
    private static final int BEHIND_ONE_SWITCH = 20;

    private PlanBench() {}

    static Sample plan(int devices, BringUpMethod method, int rounds) {
        List<NewDevice> hall = hall(devices);
        double[] millis = new double[rounds];
        for (int i = -rounds; i < rounds; i++) {
            long start = System.nanoTime();
            int seconds = BringUpPlan.of(method, false, hall, HOME, StepTimes.usual()).seconds();
            if (seconds == 0) {
                throw new IllegalStateException("this hall takes time");
            }
            if (i >= 0) {
                millis[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        return Sample.of(millis);
    }

    private static List<NewDevice> hall(int size) {
        Random random = new Random(3);
        List<NewDevice> hall = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            boolean first = i % BEHIND_ONE_SWITCH == 0;
            String subnet = SUBNETS[random.nextInt(3)];
            String factory = subnet + (first ? 2 : 10 + 10 * random.nextInt(3));
            NewDevice plain =
                    NewDevice.fresh(
                            new DeviceId(i + 1L),
                            new FactoryAddress(Ipv4.parse(factory), 24, Optional.empty()),
                            Ipv4.parse("10.64.0.0").plus(i + 10L),
                            20 + 10 * random.nextInt(6));
            long behind = i - i % BEHIND_ONE_SWITCH + 1L;
            hall.add(first ? plain : plain.behind(new DeviceId(behind)));
        }
        return hall;
    }
}
