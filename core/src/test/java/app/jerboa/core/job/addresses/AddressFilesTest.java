package app.jerboa.core.job.addresses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.Reason;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AddressFilesTest {
    private static final Profile CAMERA =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ).at("192.168.77.10").profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .keys(8, 1, true)
                    .profile();
    private static final Profile ROUTER =
            SomeProfiles.of("router", "Router", Sort.HOUSE_ROUTER).at("192.168.77.1").profile();

    /** Three cameras on a counting stick, the router, a pool. */
    private static JobUnderTest hall() {
        JobUnderTest job = new JobUnderTest(CAMERA, STICK, ROUTER);
        job.add(
                ItemKind.RANGE,
                Field.RANGE_USE,
                "pool",
                Field.FIRST,
                "10.44.8.100",
                Field.LAST,
                "10.44.8.199");
        long stick = job.device("Stick", STICK, Field.ADDRESS, "10.44.8.11", Field.MAC, mac(9));
        job.device("House router", ROUTER, Field.ADDRESS, "10.44.8.254");
        for (int i = 1; i <= 3; i++) {
            long camera =
                    job.device(
                            "L" + i,
                            CAMERA,
                            Field.ADDRESS,
                            "10.44.8.2" + i,
                            Field.MAC,
                            mac(i),
                            Field.GATEWAY,
                            "10.44.8.254");
            job.line(i, camera, Field.CONTROLLER, stick, Field.KEY, i);
        }
        return job;
    }

    private static String mac(int n) {
        return "02:4a:00:00:00:0" + n;
    }

    private static String addresses(Job job) {
        return job.devices().stream()
                .map(d -> d.address().map(Ipv4::toString).orElse("-"))
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource({
        "Stage left / 2, stage-left-2",
        "Bühne, buhne",
        "撮影機, device",
        "'--x--', x",
        "=1+1, 1-1"
    })
    void namesForNetworks(String name, String label) {
        assertThat(HostNames.plain(name)).isEqualTo(label);
    }

    @Test
    void everyDeviceHasANameOfItsOwn() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        String long70 = "x".repeat(70);
        for (String name : List.of("L 1", "L-1", "l_1", long70, long70)) {
            job.device(name, CAMERA);
        }
        List<String> names =
                job.job().devices().stream()
                        .map(d -> HostNames.of(job.job().devices()).get(d.id()))
                        .toList();
        assertThat(names)
                .containsExactly("l-1", "l-1-2", "l-1-3", "x".repeat(63), "x".repeat(61) + "-2");
    }

    @Test
    void reservationsGoByMacAndSayWhoHasNone() {
        Reservations all = Reservations.of(hall().job(), true);
        assertThat(all.count()).isEqualTo(4);
        assertThat(all.lacking()).extracting(Device::name).containsExactly("House router");
        assertThat(all.subnets().get(0).pools()).hasSize(1);
        assertThat(Reservations.of(hall().job(), false).count()).isZero();
    }

    @Test
    void anotherStartTakesTheWholeRunAlong() {
        JobUnderTest hall = hall();
        AddressWhatIf.Result result = AddressWhatIf.start(hall.job(), Ipv4.parse("10.44.8.41"));
        assertThat(addresses(hall.after(result.changes())))
                .isEqualTo("10.44.8.11 10.44.8.254 10.44.8.41 10.44.8.42 10.44.8.43");
        assertThatThrownBy(() -> AddressWhatIf.start(hall.job(), Ipv4.parse("10.44.9.41")))
                .hasMessageContaining("no host of a subnet");
    }

    /** Host numbers stay where they can: the /28 has none for 21 to 23. */
    @ParameterizedTest
    @CsvSource({
        "10.20.0.0/22, 10.20.0.1, 10.20.0.11 10.20.0.1 10.20.0.21 10.20.0.22 10.20.0.23",
        "192.168.5.0/28, 192.168.5.14, "
                + "192.168.5.11 192.168.5.14 192.168.5.3 192.168.5.4 192.168.5.5"
    })
    void anotherSubnetKeepsHostNumbers(String cidr, String gateway, String expected) {
        JobUnderTest hall = hall();
        AddressWhatIf.Result result =
                AddressWhatIf.subnet(
                        hall.editor(),
                        hall.job(),
                        hall.job().subnets().get(0),
                        Ipv4Subnet.parse(cidr),
                        Ipv4.parse(gateway));
        Job then = hall.after(result.changes());
        assertThat(addresses(then)).isEqualTo(expected);
        assertThat(result.unplaced()).isEmpty();
        assertThat(then.devices())
                .allMatch(d -> d.prefix() == Ipv4Subnet.parse(cidr).prefix())
                .allMatch(
                        d -> d.gateway().isEmpty() || d.gateway().get().toString().equals(gateway));
    }

    @ParameterizedTest
    @CsvSource({
        "static, 10.44.8.21, false, static",
        "reservation, 10.44.8.21, true, reservation",
        "lease, -, false, lease"
    })
    void anotherSchool(String way, String address, boolean reserved, String how) {
        JobUnderTest hall = hall();
        Job then = hall.after(AddressWhatIf.practice(hall.editor(), hall.job(), way).changes());
        Device first = then.devices().get(2);
        assertThat(first.address().map(Ipv4::toString).orElse("-")).isEqualTo(address);
        assertThat(first.reserved()).isEqualTo(reserved);
        assertThat(AddressRow.how(then, first)).isEqualTo(how);
    }

    @Test
    void rowsAreInLineOrderAndSayWhereTheirKeysAre() {
        List<AddressRow> rows = AddressRow.all(hall().job());
        assertThat(rows)
                .extracting(
                        r ->
                                r.line()
                                        + " "
                                        + r.device().name()
                                        + " "
                                        + r.key()
                                        + " "
                                        + r.controller())
                .containsExactly(
                        "L1 L1 1 Stick",
                        "L2 L2 2 Stick",
                        "L3 L3 3 Stick",
                        " Stick  ",
                        " House router  ");
    }

    private static List<List<String>> sheet(String... rows) {
        return Arrays.stream(rows).map(r -> Arrays.asList(r.split(",", -1))).toList();
    }

    @Test
    void aSheetIsComparedRowByRow() {
        SheetComparison.Result result =
                SheetComparison.of(
                        hall().job(),
                        sheet(
                                "Device,IP address,Netmask,MAC,Control ID",
                                "l1,10.44.8.21,255.255.255.0,02-4A-00-00-00-01,1",
                                "L2,10.44.8.52,/23,,2",
                                "somebody,10.44.8.77,24,02:4a:00:00:00:03,3",
                                "nobody,10.44.8.78,24,,",
                                "L2,10.44.8.99,24,,",
                                "Stick,10.44.8.311,24,,",
                                ",,,,"));
        assertThat(result.rows())
                .extracting(
                        r ->
                                r.number()
                                        + " "
                                        + r.device().map(Device::name).orElse("-")
                                        + " "
                                        + r.edits().stream()
                                                .map(AddressFilesTest::text)
                                                .collect(Collectors.joining(" "))
                                        + r.trouble().map(Reason::key).orElse(""))
                .containsExactly(
                        "2 L1 ",
                        "3 L2 address>10.44.8.52 prefix>23",
                        "4 L3 address>10.44.8.77",
                        "5 - sheet.no-device",
                        "6 L2 sheet.device-twice",
                        "7 Stick sheet.not-taken");
        assertThat(result.missing()).extracting(Device::name).containsExactly("House router");
    }

    private static String text(Edit e) {
        return e.field().wire() + ">" + e.after();
    }

    @ParameterizedTest
    @CsvSource({"'name,colour'", "'address,colour'", "''"})
    void headingsMustTellWhatIsWhat(String head) {
        assertThatThrownBy(() -> SheetComparison.of(hall().job(), sheet(head)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
