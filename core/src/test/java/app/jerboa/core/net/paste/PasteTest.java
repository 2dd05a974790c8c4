package app.jerboa.core.net.paste;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasteTest {
    private static String row(Neighbour n) {
        return n.address() + " " + n.mac() + " " + n.name();
    }

    /** One line of each system, and who it says is there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10.44.8.30 dev eth0 lladdr 02:11:22:33:44:55 REACHABLE|10.44.8.30 02:11:22:33:44:55 ''",
                "? (10.44.8.30) at 02:11:22:33:44:55 [ether] on eth0|10.44.8.30 02:11:22:33:44:55 ''",
                "till.local (10.44.8.200) at 2:1:22:3:44:5 on en0 ifscope [ethernet]|10.44.8.200 02:01:22:03:44:05 till.local",
                "  10.44.8.31            02-11-22-AB-44-56     dynamic|10.44.8.31 02:11:22:ab:44:56 ''",
                "10.44.8.32               ether   02:11:22:33:44:57   C                     eth0|10.44.8.32 02:11:22:33:44:57 ''",
                "1773478800 02:11:22:33:44:58 10.44.8.120 score-1 01:02:11:22:33:44:58|10.44.8.120 02:11:22:33:44:58 score-1",
                "1773478800 02:11:22:33:44:59 10.44.8.121 * *|10.44.8.121 02:11:22:33:44:59 ''"
            })
    void aLineOfEachSystem(String line, String expected) {
        NeighbourTable table = NeighbourTable.parse(line);
        assertThat(table.refused()).isEmpty();
        assertThat(table.neighbours())
                .singleElement()
                .extracting(PasteTest::row)
                .isEqualTo(expected.replace("''", ""));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10.44.8.35 dev eth0 FAILED|pasted.silent",
                "? (10.44.8.36) at <incomplete> on eth0|pasted.silent",
                "? (10.44.8.36) at (incomplete) on en0 ifscope [ethernet]|pasted.silent",
                "  10.44.8.255           ff-ff-ff-ff-ff-ff     static|pasted.group",
                "  224.0.0.22            01-00-5e-00-00-16     static|pasted.group",
                "10.44.8.300 dev eth0 lladdr 02:11:22:33:44:55 STALE|text.octet-most",
                "printer 10.44.8.40|pasted.no-mac"
            })
    void aLineThatIsNotTakenSaysWhy(String line, String reason) {
        NeighbourTable table = NeighbourTable.parse("\n" + line);
        assertThat(table.neighbours()).isEmpty();
        assertThat(table.refused())
                .singleElement()
                .satisfies(r -> assertThat(r.line()).isEqualTo(2));
        assertThat(table.refused().get(0).reason()).hasToString(reason);
    }

    @Test
    void headingsAndLeaseBlocksAreUnderstood() {
        String windows =
                "\r\nInterface: 10.44.8.81 --- 0x5\r\n  Internet Address      Physical Address      Type\r\n  10.44.8.31  02-11-22-33-44-56  dynamic\r\n";
        assertThat(NeighbourTable.parse(windows).neighbours()).hasSize(1);
        assertThat(NeighbourTable.parse(windows).refused()).isEmpty();
        String dhcpd =
                "lease 10.44.8.122 {\n  starts 6 2026/03/14 09:00:00;\n  hardware ethernet 02:11:22:33:44:60;\n  client-hostname \"till\";\n}\nlease 10.44.8.123 {\n  hardware ethernet 02:11:22:33:44:61;\n}\n";
        assertThat(NeighbourTable.parse(dhcpd).neighbours())
                .extracting(PasteTest::row)
                .containsExactly(
                        "10.44.8.122 02:11:22:33:44:60 till", "10.44.8.123 02:11:22:33:44:61 ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "    inet 10.44.8.81/24 brd 10.44.8.255 scope global eth0~default via 10.44.8.254 dev eth0|10.44.8.81 10.44.8.0/24 10.44.8.254",
                "        inet 10.44.9.7  netmask 255.255.254.0  broadcast 10.44.9.255|10.44.9.7 10.44.8.0/23 none",
                "          inet addr:10.44.8.81  Bcast:10.44.8.255  Mask:255.255.255.0|10.44.8.81 10.44.8.0/24 none",
                "\tinet 10.44.8.81 netmask 0xffffff00 broadcast 10.44.8.255|10.44.8.81 10.44.8.0/24 none",
                "   IPv4 Address. . . . . . . . . . . : 10.44.8.81(Preferred)~   Subnet Mask . . . . . . . . . . . : 255.255.255.0~   Default Gateway . . . . . . . . . : 10.44.8.254|10.44.8.81 10.44.8.0/24 10.44.8.254",
                "    inet 10.44.8.81/24 scope global eth0~default via 192.168.7.1 dev wlan0|10.44.8.81 10.44.8.0/24 none",
                "    inet 127.0.0.1/8 scope host lo|",
                "    inet 169.254.7.7/16 scope link eth0|",
                "    inet 10.44.8.81  netmask 255.0.255.0|",
                "    inet 10.44.8.81/32 scope global tun0|",
                "nothing of the kind|"
            })
    void whereTheLaptopIs(String printed, String expected) {
        String found =
                LaptopInterface.parse(printed.replace("~", "\n")).stream()
                        .map(
                                i ->
                                        i.address()
                                                + " "
                                                + i.subnet()
                                                + " "
                                                + i.gateway().map(Object::toString).orElse("none"))
                        .findFirst()
                        .orElse("");
        assertThat(found).isEqualTo(expected == null ? "" : expected);
    }

    @Test
    void anyTextIsReadWithoutHarm() {
        Random random = new Random(1);
        String alphabet = "0123456789.:-abcdef inet/{}()\n\"maskv4IPlease";
        for (int i = 0; i < 5_000; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(80); n > 0; n--) {
                text.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            NeighbourTable.parse(text.toString());
            LaptopInterface.parse(text.toString());
        }
    }
}
