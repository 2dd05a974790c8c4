package app.jerboa.core.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunSheetTest {
    private static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.44.8.81"), 24);

    private static List<NewDevice> rivals(int n, int boot) {
        return IntStream.rangeClosed(1, n).mapToObj(i -> device(i, "192.168.77.10", boot)).toList();
    }

    private static NewDevice device(int id, String factory, int boot) {
        var start = new FactoryAddress(Ipv4.parse(factory), 24, Optional.empty());
        return new NewDevice(new DeviceId(id), start, Ipv4.parse("10.44.8." + (20 + id)), boot);
    }

    /**
     * hop + n (plug + boot + set + boot) + n verify; the hop home hides in the last boot if that is
     * long enough.
     */
    @ParameterizedTest
    @CsvSource({"6, 90, 1695", "1, 90, 320", "4, 60, 905", "4, 10, 540", "0, 90, 0"})
    void timeByHop(int n, int boot, int seconds) {
        List<NewDevice> devices = rivals(n, boot);
        Map<DeviceId, Integer> boots = new HashMap<>();
        devices.forEach(d -> boots.put(d.id(), d.bootSeconds()));
        assertThat(RunSheet.hop(devices, HOME).secondsFrom(0, StepTimes.usual(), boots, Map.of()))
                .isEqualTo(seconds);
    }

    @Test
    void rivalsAreNeverConnectedTogether() {
        Set<DeviceId> onFactoryAddress = new HashSet<>();
        for (Step step : RunSheet.hop(rivals(6, 60), HOME).steps()) {
            if (step.kind() == Step.Kind.PLUG) {
                assertThat(onFactoryAddress).isEmpty();
                onFactoryAddress.add(step.device().orElseThrow());
            } else if (step.kind() == Step.Kind.RESTART) {
                onFactoryAddress.remove(step.device().orElseThrow());
            }
        }
    }

    @Test
    void oneHopPerFactorySubnetAndOneHome() {
        List<NewDevice> devices =
                List.of(
                        device(1, "192.168.77.10", 60),
                        device(2, "172.29.3.20", 20),
                        device(3, "192.168.77.10", 60));
        List<Step> steps = RunSheet.hop(devices, HOME).steps();
        assertThat(steps)
                .filteredOn(s -> s.kind() == Step.Kind.HOP_OUT)
                .extracting(s -> s.laptop().toString())
                .containsExactly("192.168.77.250/24", "172.29.3.250/24");
        assertThat(steps).filteredOn(s -> s.kind() == Step.Kind.HOP_HOME).hasSize(1);
        assertThat(steps.subList(steps.size() - 3, steps.size()))
                .extracting(Step::kind)
                .containsOnly(Step.Kind.VERIFY);
    }

    /** network + min(250, hosts), downwards, first that nobody has. */
    @ParameterizedTest
    @CsvSource({
        "192.168.77.0/24, '', 192.168.77.250",
        "192.168.77.0/24, 192.168.77.250, 192.168.77.249",
        "192.168.77.0/29, 192.168.77.6, 192.168.77.5",
        "10.90.0.0/16, '', 10.90.0.250"
    })
    void laptopAddress(String subnet, String avoid, String expected) {
        List<Ipv4> used = avoid.isEmpty() ? List.of() : List.of(Ipv4.parse(avoid));
        assertThat(LaptopAddress.in(Ipv4Subnet.parse(subnet), used))
                .map(LaptopAddress::address)
                .contains(Ipv4.parse(expected));
    }

    @Test
    void aFullSubnetLeavesNoLaptopAddress() {
        List<Ipv4> used = List.of(Ipv4.parse("10.0.0.1"), Ipv4.parse("10.0.0.2"));
        assertThat(LaptopAddress.in(Ipv4Subnet.parse("10.0.0.0/30"), used)).isEmpty();
    }
}
