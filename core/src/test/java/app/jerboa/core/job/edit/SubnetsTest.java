package app.jerboa.core.job.edit;

import static app.jerboa.core.job.RandomJobs.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.TestShelf;
import app.jerboa.core.job.addresses.JobAddresses;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.net.AddressFacts;
import app.jerboa.core.net.AddressPlanner;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Several subnets, leases, and profiles of the job's own. */
class SubnetsTest {
    private static final Profile CAMERA =
            SomeProfiles.of("cam", "Camera", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .keys(8, 1, true)
                    .profile();
    private static final Profile TABLET =
            SomeProfiles.of("tablet", "Tablet", Sort.CONTROL_APP).leased(true).profile();
    private static final Profile LENS = SomeProfiles.of("lens", "Lens", Sort.LENS).profile();
    private static final JobEditor EDITOR =
            new JobEditor(TestShelf.of(CAMERA, STICK, TABLET, LENS));

    private static Item subnet(long id, String cidr, String vlan) {
        String network = cidr.replaceAll("\\.\\d+/.*", "");
        return item(
                ItemKind.SUBNET,
                id,
                Map.of(
                        Field.CIDR,
                        cidr,
                        Field.VLAN,
                        vlan,
                        Field.SUBNET_GATEWAY,
                        network + ".254",
                        Field.LAPTOP_HOME,
                        network + ".81"));
    }

    private static Item device(long id, String profile, String address) {
        return item(
                ItemKind.DEVICE,
                id,
                Map.of(
                        Field.NAME, profile + " " + id,
                        Field.PROFILE, profile,
                        Field.ADDRESS, address));
    }

    private static Job job(String practice, Item... more) {
        List<Item> items = new ArrayList<>(List.of(more));
        items.add(
                item(
                        ItemKind.SITE,
                        1,
                        Map.of(Field.SITE_NAME, "Hall", Field.PRACTICE_ADDRESSES, practice)));
        items.add(subnet(2, "10.44.8.0/24", ""));
        return EDITOR.read(items);
    }

    private static List<String> codes(Job job) {
        return JobFindings.check(job).stream()
                .map(j -> j.finding().code().code())
                .filter(c -> c.startsWith("ADDR") && !c.equals("ADDR-RIVALS"))
                .toList();
    }

    private static Item key(long id, int key, long camera, long controller) {
        return item(
                ItemKind.LINE,
                id,
                Map.of(
                        Field.NUMBER, "" + key,
                        Field.CAMERA, "" + camera,
                        Field.CONTROL_ID, "" + key,
                        Field.CONTROLLER, "" + controller,
                        Field.KEY, "" + key));
    }

    @Test
    void aDeviceBelongsWhereItsAddressLies() {
        Job job =
                job(
                        "static",
                        subnet(3, "10.20.0.0/24", "20"),
                        device(10, "cam", "10.20.0.21"),
                        device(11, "cam", "10.44.8.21"),
                        device(12, "cam", ""),
                        device(13, "cam", "172.16.0.9"));
        List<AddressFacts> facts = JobAddresses.facts(job);
        assertThat(facts.get(0).devices())
                .extracting(d -> d.id().value())
                .containsExactly(11L, 12L, 13L);
        assertThat(facts.get(1).devices()).extracting(d -> d.id().value()).containsExactly(10L);
        assertThat(codes(job)).containsExactly("ADDR-OUTSIDE", "ADDR-NONE");
    }

    @Test
    void camerasOfACountingControllerFollowItIntoItsSubnet() {
        Job job =
                job(
                        "static",
                        subnet(3, "10.20.0.0/24", "20"),
                        device(10, "stick", "10.20.0.11"),
                        device(11, "cam", "10.44.8.21"),
                        key(20, 1, 11, 10));
        assertThat(AddressPlanner.plan(JobAddresses.facts(job).get(1)).moves())
                .extracting(m -> m.to().toString())
                .containsExactly("10.20.0.21");
    }

    @ParameterizedTest
    @CsvSource({
        "10.44.8.128/25, 30, cidr",
        "10.44.0.0/16,   30, cidr",
        "10.30.0.0/24,   20, vlan",
        "10.30.0.0/24,   30, ''",
        "10.30.0.0/24,   '', ''",
    })
    void twoSubnetsShareNothing(String cidr, String vlan, String field) {
        Job job = job("static", subnet(3, "10.20.0.0/24", "20"));
        ChangeSet more = ChangeSet.adding(subnet(4, cidr, vlan));
        if (field.isEmpty()) {
            assertThat(EDITOR.apply(job, more).subnets()).hasSize(3);
        } else {
            assertThatThrownBy(() -> EDITOR.apply(job, more))
                    .isInstanceOfSatisfying(
                            ItemRejected.class, e -> assertThat(e.field().wire()).isEqualTo(field));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "static, tablet, '',         ''",
        "static, tablet, 10.44.8.90, ADDR-LEASE-ONLY",
        "static, cam,    '',         ADDR-NONE",
        "lease,  cam,    '',         ''",
        "lease,  cam,    10.44.8.21, ''",
        "static, lens,   '',         ''",
    })
    void whoNeedsAnAddressDependsOnTheSchool(
            String practice, String profile, String address, String code) {
        Job job = job(practice, device(10, profile, address));
        assertThat(codes(job)).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
        boolean planned = !AddressPlanner.plan(JobAddresses.facts(job).get(0)).moves().isEmpty();
        assertThat(planned).isEqualTo(code.equals("ADDR-NONE"));
    }

    @Test
    void aCountingControllerCannotFindLeases() {
        Job job =
                job(
                        "lease",
                        device(10, "stick", "10.44.8.11"),
                        device(11, "cam", ""),
                        key(20, 1, 11, 10));
        assertThat(codes(job)).contains("ADDR-LEASE-FIXED");
        assertThat(
                        codes(
                                job(
                                        "static",
                                        device(10, "stick", "10.44.8.11"),
                                        device(11, "cam", "10.44.8.21"),
                                        key(20, 1, 11, 10))))
                .isEmpty();
    }

    private static Item own(long id, String facts) {
        return item(ItemKind.PROFILE, id, Map.of(Field.FACTS, facts));
    }

    @Test
    void aJobsOwnProfileCarriesItsDevicesAndCannotLeaveThemBehind() {
        Job job = job("static", own(5, "mine|My camera"), device(10, "mine", ""));
        assertThat(job.devices().get(0).profile().name()).isEqualTo("My camera");
        Edit rename = new Edit(own(5, "").ref(), Field.FACTS, "mine|My camera", "mine|Another");
        Job renamed = EDITOR.apply(job, ChangeSet.edits(List.of(rename)));
        assertThat(renamed.devices().get(0).profile().name()).isEqualTo("Another");
        Edit away = new Edit(own(5, "").ref(), Field.FACTS, "mine|My camera", "yours|Another");
        assertThatThrownBy(() -> EDITOR.apply(job, ChangeSet.edits(List.of(away))))
                .isInstanceOf(ItemRejected.class);
        ChangeSet gone = new ChangeSet(List.of(), List.of(), List.of(own(5, "mine|My camera")));
        assertThatThrownBy(() -> EDITOR.apply(job, gone)).isInstanceOf(ItemRejected.class);
    }

    @ParameterizedTest
    @CsvSource({"cam|Hides a shipped one", "mine|Twice", "nonsense"})
    void aProfileThatCannotBeIsRefused(String facts) {
        Job job = job("static", own(5, "mine|My camera"));
        assertThatThrownBy(() -> EDITOR.apply(job, ChangeSet.adding(own(6, facts))))
                .isInstanceOfSatisfying(
                        ItemRejected.class, e -> assertThat(e.field()).isEqualTo(Field.FACTS));
    }
}
