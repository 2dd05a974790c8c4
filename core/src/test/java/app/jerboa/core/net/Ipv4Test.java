package app.jerboa.core.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.value.TextRejected;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class Ipv4Test {
    @Test
    void everyAddressReadsBackAsWritten() {
        Random random = new Random(7);
        for (int i = 0; i < 2_000; i++) {
            Ipv4 address = new Ipv4(random.nextLong(1L << 32));
            assertThat(Ipv4.parse(address.toString())).isEqualTo(address);
        }
    }

    @ParameterizedTest
    @CsvSource(
            value = {
                "''|0",
                "10|2",
                "10.44.8|7",
                "10.44.8.|8",
                "10.44.8.256|8",
                "10.44.8.1000|8",
                "10.044.8.1|3",
                "10.44.8.1.|9",
                "10.44.8.1/24|9",
                " 10.44.8.1|0",
                "10.44.8.1 |9",
                "10..8.1|3",
                "-1.2.3.4|0",
                "a.b.c.d|0",
                "１0.1.1.1|0",
                "4294967296|0"
            },
            delimiter = '|',
            ignoreLeadingAndTrailingWhitespace = false)
    void refusesAnythingElseAndSaysWhere(String text, int index) {
        assertThatThrownBy(() -> Ipv4.parse(text))
                .isInstanceOfSatisfying(
                        TextRejected.class, e -> assertThat(e.index()).isEqualTo(index));
    }

    /** Worked by hand from the prefix. */
    @ParameterizedTest
    @CsvSource({
        "10.44.8.77/24, 10.44.8.0, 10.44.8.255, 255.255.255.0, 10.44.8.1, 10.44.8.254, 254",
        "10.44.9.0/23, 10.44.8.0, 10.44.9.255, 255.255.254.0, 10.44.8.1, 10.44.9.254, 510",
        "10.255.3.4/8, 10.0.0.0, 10.255.255.255, 255.0.0.0, 10.0.0.1, 10.255.255.254, 16777214",
        "192.168.77.13/30, 192.168.77.12, 192.168.77.15, 255.255.255.252, 192.168.77.13, 192.168.77.14, 2",
        "255.255.255.255/8, 255.0.0.0, 255.255.255.255, 255.0.0.0, 255.0.0.1, 255.255.255.254, 16777214"
    })
    void subnetSums(
            String cidr,
            String network,
            String broadcast,
            String mask,
            String first,
            String last,
            long hosts) {
        SubnetSum sum = SubnetSum.of(Ipv4Subnet.parse(cidr));
        assertThat(sum)
                .isEqualTo(
                        new SubnetSum(
                                Ipv4.parse(network),
                                Ipv4.parse(broadcast),
                                Ipv4.parse(mask),
                                Ipv4.parse(first),
                                Ipv4.parse(last),
                                hosts));
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.0, 9", "10.44.8.0/, 10", "10.44.8.0/31, 10", "10.44.8.0/32, 10", "10.44.8.0/7, 10",
        "10.44.8.0/024, 10", "10.44.8.0/+24, 10", "10.44.8.0/24x, 10", "10.44.08.0/24, 6",
                "10.44.8/24, 7"
    })
    void refusesSubnets(String cidr, int index) {
        assertThatThrownBy(() -> Ipv4Subnet.parse(cidr))
                .isInstanceOfSatisfying(
                        TextRejected.class, e -> assertThat(e.index()).isEqualTo(index));
    }

    @Test
    void networkAndBroadcastOfAWiderSubnetAreTheOnlyNonHosts() {
        Ipv4Subnet wide = Ipv4Subnet.parse("10.44.8.0/23");
        assertThat(wide.isHost(Ipv4.parse("10.44.8.255"))).isTrue();
        assertThat(wide.isHost(Ipv4.parse("10.44.9.0"))).isTrue();
        assertThat(wide.isHost(Ipv4.parse("10.44.8.0"))).isFalse();
        assertThat(wide.isHost(Ipv4.parse("10.44.9.255"))).isFalse();
    }
}
