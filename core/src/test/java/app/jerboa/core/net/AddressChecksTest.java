package app.jerboa.core.net;

import static app.jerboa.core.net.Worlds.camera;
import static app.jerboa.core.net.Worlds.house;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.finding.Severity;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AddressChecksTest {
    private static List<String> codes(AddressFacts facts) {
        return AddressChecks.check(facts).stream().map(f -> f.code().code()).toList();
    }

    private static AddressFacts sheet(String... addresses) {
        List<AddressedDevice> devices = new ArrayList<>();
        for (String a : addresses) {
            devices.add(camera(devices.size() + 1, a));
        }
        return new AddressFacts(house("10.44.8.33"), devices, List.of());
    }

    /** One bad address beside a good one; what must be found and nothing else. */
    @ParameterizedTest
    @CsvSource({
        "10.44.8.22, ''",
        "10.44.8.21, ADDR-DUP",
        "10.44.8.33, ADDR-TAKEN",
        "10.44.9.22, ADDR-OUTSIDE",
        "10.44.8.0, ADDR-OUTSIDE",
        "10.44.8.255, ADDR-OUTSIDE",
        "10.44.8.254, ADDR-GATEWAY",
        "10.44.8.99, ''",
        "10.44.8.100, ADDR-POOL",
        "10.44.8.199, ADDR-POOL",
        "10.44.8.200, ''",
        "'', ADDR-NONE"
    })
    void findsWhatIsWrongWithOneAddress(String address, String code) {
        assertThat(codes(sheet("10.44.8.21", address)))
                .isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }

    @Test
    void oneStrayCameraIsTwoFindingsWithOneFix() {
        var devices = sheet("10.44.8.21", "10.44.8.22", "10.44.8.23", "10.44.8.33").devices();
        var facts = new AddressFacts(house("10.44.8.33"), devices, List.of(Worlds.run(1, 2, 3, 4)));
        List<Finding> findings = AddressChecks.check(facts);
        assertThat(findings)
                .extracting(f -> f.code().code())
                .containsExactly("ADDR-GAP", "ADDR-TAKEN");
        assertThat(findings.get(0).fixes()).isEqualTo(findings.get(1).fixes()).hasSize(1);
        assertThat(findings.get(0).facts()).containsEntry("expected", "key 4 looks at 10.44.8.24");
        assertThat(codes(Worlds.after(facts, findings.get(0).fixes().get(0).changes().edits())))
                .isEmpty();
    }

    @Test
    void factoryAddressesAreRivalsOrInTheWay() {
        var factory =
                Optional.of(new FactoryAddress(Ipv4.parse("10.44.8.33"), 24, Optional.empty()));
        List<AddressedDevice> devices = new ArrayList<>();
        for (int i = 1; i <= 2; i++) {
            devices.add(
                    new AddressedDevice(
                            new DeviceId(i),
                            "D" + i,
                            AddressRole.CAMERA,
                            Optional.of(Ipv4.parse("10.44.8.2" + i)),
                            24,
                            Optional.empty(),
                            false,
                            false,
                            false,
                            false,
                            factory));
        }
        devices.add(Worlds.device(3, AddressRole.COMPUTER, "10.44.8.33", false));
        assertThat(codes(new AddressFacts(house(), devices, List.of())))
                .containsExactly("ADDR-FACTORY-CLASH", "ADDR-RIVALS");
        assertThat(codes(new AddressFacts(house("10.44.8.33"), devices.subList(0, 2), List.of())))
                .containsExactly("ADDR-FACTORY-INSIDE", "ADDR-RIVALS");
    }

    @Test
    void maskAndGatewayMustFitTheSubnet() {
        var odd =
                new AddressedDevice(
                        new DeviceId(1),
                        "D1",
                        AddressRole.CAMERA,
                        Optional.of(Ipv4.parse("10.44.8.21")),
                        16,
                        Optional.of(Ipv4.parse("10.44.9.1")),
                        false,
                        false,
                        false,
                        false,
                        Optional.empty());
        var facts = new AddressFacts(house(), List.of(odd), List.of());
        assertThat(codes(facts)).containsExactly("ADDR-GATEWAY", "ADDR-MASK");
        var changes =
                AddressChecks.check(facts).stream()
                        .flatMap(f -> f.fixes().get(0).changes().edits().stream())
                        .toList();
        assertThat(codes(Worlds.after(facts, changes))).isEmpty();
    }

    @Test
    void aFullSubnetNamesItsBlockersAndASmallBlockWhatWouldHold() {
        Lan full = Worlds.lan("10.44.8.0/30", "10.44.8.1", List.of());
        var facts = new AddressFacts(full, sheet("10.44.8.2", "").devices(), List.of());
        assertThat(AddressChecks.check(facts))
                .filteredOn(f -> f.code().equals(AddressCodes.FULL))
                .hasSize(1);
        String[] many = new String[60];
        Arrays.fill(many, "");
        var crowded =
                AddressChecks.check(new AddressFacts(house(), sheet(many).devices(), List.of()));
        assertThat(crowded)
                .filteredOn(f -> f.code().equals(AddressCodes.BLOCK))
                .singleElement()
                .satisfies(
                        f ->
                                assertThat(f.facts())
                                        .containsEntry("room", "40")
                                        .containsEntry("holds", "/23"));
    }

    /** Whatever a fix promises comes true, and order never depends on anything but the input. */
    @Test
    void everyFixClearsItsFinding() {
        Random random = new Random(5);
        int fixed = 0;
        for (int round = 0; round < 1_000; round++) {
            AddressFacts facts = round % 2 == 0 ? Worlds.crowded(random) : Worlds.twoRuns(random);
            List<Finding> findings = AddressChecks.check(facts);
            assertThat(AddressChecks.check(facts)).isEqualTo(findings);
            for (Finding finding : findings) {
                for (Fix fix : finding.fixes()) {
                    fixed++;
                    List<Finding> after =
                            AddressChecks.check(Worlds.after(facts, fix.changes().edits()));
                    assertThat(after)
                            .as("round %d, %s", round, finding)
                            .extracting(Finding::key)
                            .doesNotContain(finding.key());
                    assertThat(stops(after))
                            .as("round %d: a fix brings no new stop, %s", round, finding)
                            .isSubsetOf(stops(findings));
                }
            }
        }
        assertThat(fixed).isGreaterThan(500);
    }

    /** Who lost an address that nobody can have says so instead: that is no new trouble. */
    private static Set<String> stops(List<Finding> findings) {
        return findings.stream()
                .filter(f -> f.code().severity() == Severity.STOP)
                .filter(f -> !f.code().equals(AddressCodes.NONE))
                .flatMap(f -> f.devices().stream().map(d -> f.code() + " " + d))
                .collect(Collectors.toSet());
    }

    @Test
    void codesAreUnique() {
        assertThat(AddressCodes.ALL).extracting(c -> c.code()).doesNotHaveDuplicates();
    }
}
