package app.jerboa.core.job.addresses;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OverlapCheckTest {
    private static final Profile CAMERA =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ).at("192.168.77.10").profile();

    /** L1 is planned at 10.44.8.21, L2 at 10.44.9.21, L3 nowhere yet. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "one way                     | eth0 10.44.8.80/24                     |       |",
                "a router's side             | eth0 10.44.8.80/24; wlan0 192.168.1.5/24 |     |",
                "both in the subnet          | eth0 10.44.8.80/24; wlan0 10.44.8.81/24 | L1   |"
                        + " eth0 10.44.8.80/24, wlan0 10.44.8.81/24",
                "a wider one overlaps it     | eth0 10.44.8.80/24; tun0 10.44.0.7/16  | L1    |"
                        + " eth0 10.44.8.80/24, tun0 10.44.0.7/16",
                "two addresses, one way      | eth0 10.44.8.80/24; eth0 10.44.8.81/24 |       |",
                "both wide                   | eth0 10.44.8.80/16; tun0 10.44.0.7/16  | L1 L2 |"
                        + " eth0 10.44.8.80/16, tun0 10.44.0.7/16",
                "a mask of the whole world   | eth0 10.44.8.80/24; ppp0 10.44.8.9/0   |       |",
                "one host's mask             | eth0 10.44.8.80/24; ppp0 10.44.8.21/32 |       |"
            })
    void whatMoreThanOneInterfaceLeadsTo(String what, String links, String torn, String told) {
        JobUnderTest job = new JobUnderTest(CAMERA);
        List<Long> ids =
                List.of(
                        job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21"),
                        job.device("L2", CAMERA, Field.ADDRESS, "10.44.9.21"),
                        job.device("L3", CAMERA));
        List<Finding> found = OverlapCheck.of(job.job(), links(links));
        if (torn == null) {
            assertThat(found).as(what).isEmpty();
            return;
        }
        assertThat(found).as(what).hasSize(1);
        assertThat(found.get(0).devices())
                .extracting(d -> "L" + (ids.indexOf(d.value()) + 1))
                .containsExactly(torn.split(" ", -1));
        assertThat(found.get(0).facts()).containsEntry("interfaces", told);
    }

    private static List<OwnLink> links(String text) {
        return Arrays.stream(text.split("; ", -1))
                .map(l -> l.split("[ /]", -1))
                .map(l -> new OwnLink(l[0], Ipv4.parse(l[1]), Integer.parseInt(l[2]), false))
                .toList();
    }
}
