package app.jerboa.core.job.discovery;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatchingTest {
    private static final Profile HEAD =
            SomeProfiles.of("head", "Ceiling head", Sort.CEILING_PTZ).at("192.168.77.10").profile();
    private static final Profile BOX =
            SomeProfiles.of("box", "Box camera", Sort.BOX_CAMERA).at("192.168.78.10").profile();

    private final JobUnderTest plan = new JobUnderTest(HEAD, BOX);

    {
        plan.device("L1", HEAD, Field.ADDRESS, "10.44.8.21", Field.MAC, "02:4a:10:00:00:01");
        plan.device("L2", HEAD, Field.ADDRESS, "10.44.8.22", Field.MAC, "02:4a:10:00:00:02");
        plan.device("L3", HEAD, Field.ADDRESS, "10.44.8.23");
        plan.device("B1", BOX, Field.ADDRESS, "10.44.8.31", Field.SERIAL_NUMBER, "S7001");
        plan.device("B2", BOX, Field.ADDRESS, "10.44.8.32");
    }

    private static Found found(String address, String macs, String hardware, String serial) {
        Set<String> all =
                macs == null
                        ? Set.of()
                        : Arrays.stream(macs.split(" "))
                                .map(m -> "02:4a:10:00:00:" + m)
                                .collect(Collectors.toSet());
        return new Found(
                Ipv4.parse(address),
                new TreeSet<>(all),
                Set.of(Found.Service.WEB),
                hardware == null && serial == null
                        ? Optional.empty()
                        : Optional.of(
                                new Found.SelfPortrait(
                                        "",
                                        Optional.ofNullable(hardware).orElse(""),
                                        Optional.ofNullable(serial).orElse(""))));
    }

    /** One answer alone on the network. */
    @ParameterizedTest
    @CsvSource({
        // address, MACs, model, serial -> verdict, by, device, candidates
        "10.44.8.21, 01, , , AS_PLANNED, MAC, L1, ",
        "192.168.77.10, 01, , , AT_START, MAC, L1, ",
        "10.44.8.99, 02, , , ELSEWHERE, MAC, L2, ",
        // Its MAC tells more than where it stands.
        "10.44.8.22, 01, , , ELSEWHERE, MAC, L1, ",
        "10.44.8.99, , , S7001, ELSEWHERE, SERIAL_NUMBER, B1, ",
        "10.44.8.23, , , , AS_PLANNED, ADDRESS, L3, ",
        "10.44.8.23, 77, , , AS_PLANNED, ADDRESS, L3, ",
        "10.44.8.21, 77, , , ANOTHER, ADDRESS, L1, L2",
        "10.44.8.23, , Box camera, , ANOTHER, ADDRESS, L3, B1 B2",
        "10.44.8.23, , Some other make, , AS_PLANNED, ADDRESS, L3, ",
        // Two of that model are missing: nobody can say which.
        "10.44.8.99, , Box camera, , UNKNOWN, NOTHING, , B1 B2",
        "192.168.78.10, , , , UNKNOWN, NOTHING, , B1 B2",
        "10.44.8.99, 77, , , UNKNOWN, NOTHING, , L1 L2",
        "10.44.8.254, , , , HOUSE, ADDRESS, , ",
        "10.44.8.21, 01 77, , , SECOND, MAC, L1, L1",
        "10.44.8.99, 01 02, , , SECOND, MAC, L1, L1 L2"
    })
    void oneAnswer(
            String address,
            String macs,
            String hardware,
            String serial,
            Match.Verdict verdict,
            Match.By by,
            String device,
            String candidates) {
        Job job = plan.job();
        Match m = Matching.of(job, List.of(found(address, macs, hardware, serial))).get(0);
        assertThat(m.verdict()).isEqualTo(verdict);
        assertThat(m.by()).isEqualTo(by);
        assertThat(m.device().map(Device::name)).isEqualTo(Optional.ofNullable(device));
        assertThat(m.candidates().stream().map(Device::name).collect(Collectors.joining(" ")))
                .isEqualTo(Optional.ofNullable(candidates).orElse(""));
    }

    /** When the other box camera is known by its address, the one that is missing is this one. */
    @Test
    void theLastOfAModelIsKnownByIt() {
        List<Match> matches =
                Matching.of(
                        plan.job(),
                        List.of(
                                found("10.44.8.99", null, "Box camera", null),
                                found("10.44.8.31", null, null, null)));
        assertThat(matches.get(0).device().map(Device::name)).contains("B2");
        assertThat(matches.get(0).by()).isEqualTo(Match.By.PROFILE);
    }

    /** Each answer is matched once, no device is two answers, and the order tells nothing. */
    @Test
    void noDeviceIsTwoAnswersWhateverTheOrder() {
        Job job = plan.job();
        Random random = new Random(18);
        for (int i = 0; i < 300; i++) {
            List<Found> all = new ArrayList<>();
            for (int host = 18; host < 40; host++) {
                if (random.nextInt(3) == 0) {
                    all.add(
                            found(
                                    "10.44.8." + host,
                                    random.nextBoolean() ? "0" + (1 + random.nextInt(9)) : null,
                                    random.nextBoolean() ? "Box camera" : null,
                                    null));
                }
            }
            List<Match> matches = Matching.of(job, all);
            assertThat(matches).extracting(Match::found).isEqualTo(all);
            // One MAC at two addresses is one device at two addresses; all else is once.
            List<String> once =
                    matches.stream()
                            .filter(m -> m.by() != Match.By.MAC)
                            .flatMap(m -> m.device().stream())
                            .map(Device::name)
                            .toList();
            assertThat(once).doesNotHaveDuplicates();
            List<Found> mixed = new ArrayList<>(all);
            Collections.shuffle(mixed, random);
            assertThat(verdicts(Matching.of(job, mixed))).isEqualTo(verdicts(matches));
        }
    }

    private static Set<String> verdicts(List<Match> matches) {
        return matches.stream()
                .map(m -> m.found().address() + " " + m.verdict() + m.device().map(Device::name))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void whatNobodyAnsweredForIsMissing() {
        Job job = plan.job();
        Sweep sweep = Sweep.of(job, List.of(Ipv4Subnet.parse("10.44.8.0/24")));
        List<Match> matches =
                Matching.of(
                        job,
                        List.of(
                                found("10.44.8.21", "01", null, null),
                                found("10.44.8.22", "77", null, null)));
        assertThat(Matching.missing(job, sweep, matches))
                .extracting(Device::name)
                .containsExactly("L2", "L3", "B1", "B2");
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.0/24, 254, 0, 5.08",
        // Another subnet than the job's is not looked through.
        "10.44.9.0/24, 0, 0, 0"
    })
    void looksOnlyThroughTheJobsSubnets(String cidr, int asked, long leftOut, double seconds) {
        Sweep sweep = Sweep.of(plan.job(), List.of(Ipv4Subnet.parse(cidr)));
        assertThat(sweep.addresses()).hasSize(asked).doesNotHaveDuplicates();
        assertThat(sweep.leftOut()).isEqualTo(leftOut);
        assertThat(sweep.seconds()).isEqualTo(seconds);
    }

    /** Where something should be is asked first, and a wide subnet is cut off behind it. */
    @Test
    void aWideSubnetIsCutOffBehindWhatIsPlanned() {
        plan.add(
                ItemKind.SUBNET,
                Field.CIDR,
                "10.60.0.0/16",
                Field.SUBNET_GATEWAY,
                "10.60.0.1",
                Field.LAPTOP_HOME,
                "10.60.0.9");
        plan.device("Far", HEAD, Field.ADDRESS, "10.60.200.7");
        Sweep sweep = Sweep.of(plan.job(), List.of(Ipv4Subnet.parse("10.60.0.0/16")));
        assertThat(sweep.addresses()).hasSize(Sweep.MOST).startsWith(Ipv4.parse("10.60.200.7"));
        assertThat(sweep.leftOut()).isEqualTo(65_534 - Sweep.MOST);
    }
}
