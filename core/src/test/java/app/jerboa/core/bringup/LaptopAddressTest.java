package app.jerboa.core.bringup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LaptopAddressTest {
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

    /** The very address, else another of its subnet that no device has; whatever else there is. */
    @ParameterizedTest
    @CsvSource({
        "192.168.77.250/24, 192.168.77.250/24",
        "10.44.8.81/24 192.168.77.250/24, 192.168.77.250/24",
        "192.168.77.9/24 192.168.77.250/24, 192.168.77.250/24",
        "10.44.8.81/24 192.168.77.9/24, 192.168.77.9/24",
        "192.168.77.10/24, ",
        "192.168.77.9/16, ",
        "127.0.0.1/8 fe80, ",
        "10.44.8.81/24, ",
    })
    void aLaptopIsThereWithAnyFreeAddressOfTheSubnet(String own, String there) {
        List<Ipv4> devices = List.of(Ipv4.parse("192.168.77.10"));
        assertThat(
                        LaptopAddress.parse("192.168.77.250/24")
                                .among(List.of(own.split(" ", -1)), devices))
                .isEqualTo(Optional.ofNullable(there));
    }
}
