package app.jerboa.core.job.kit;

import static app.jerboa.core.job.RandomJobs.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.TestShelf;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class KitTest {
    private static final Profile CAMERA =
            SomeProfiles.of("cam", "Ceiling PTZ 20x, PoE", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "IP stick, 3 keys", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .keys(3, 0, true)
                    .profile();
    private static final Profile ROUTER =
            SomeProfiles.of("router", "House router", Sort.HOUSE_ROUTER).leased(false).profile();
    private static final JobEditor EDITOR = new JobEditor(TestShelf.of(CAMERA, STICK, ROUTER));
    private static final Job EMPTY =
            EDITOR.read(
                    List.of(
                            item(ItemKind.SITE, 1, Map.of(Field.SITE_NAME, "Hall")),
                            item(
                                    ItemKind.SUBNET,
                                    2,
                                    Map.of(
                                            Field.CIDR, "10.44.8.0/24",
                                            Field.SUBNET_GATEWAY, "10.44.8.254",
                                            Field.LAPTOP_HOME, "10.44.8.81"))));

    private static Job with(Job job, Profile profile, int count) {
        long next = 1 + job.items().mapToLong(i -> i.ref().id()).max().orElseThrow();
        return EDITOR.apply(job, KitAdding.of(EDITOR, job, profile, count, next));
    }

    @Test
    void aStickAndFourCamerasAreNamedNumberedKeyedAndAddressed() {
        Job job = with(with(with(EMPTY, ROUTER, 1), STICK, 2), CAMERA, 4);
        assertThat(job.devices())
                .extracting(Device::name)
                .containsExactly("House router", "IP stick", "IP stick 2", "L1", "L2", "L3", "L4");
        assertThat(job.lines()).extracting(Line::number).containsExactly(1, 2, 3, 4);
        assertThat(job.lines())
                .extracting(l -> l.key().orElseThrow().number())
                .containsExactly(0, 1, 2, 0);
        assertThat(job.devices())
                .extracting(d -> d.address().map(Ipv4::toString).orElse(""))
                .startsWith(
                        "10.44.8.254",
                        "10.44.8.11",
                        "10.44.8.12",
                        "10.44.8.21",
                        "10.44.8.22",
                        "10.44.8.23");
        assertThat(JobFindings.check(job)).noneMatch(JobFindings.Judged::stops);
    }

    @Test
    void moreComeAfterThoseThatAreThereAndMoveNobody() {
        Job first = with(with(EMPTY, STICK, 1), CAMERA, 2);
        Job more = with(first, CAMERA, 2);
        assertThat(more.devices()).containsAll(first.devices());
        assertThat(more.lines()).extracting(more::label).containsExactly("L1", "L2", "L3", "L4");
        assertThat(more.lines().get(3).key()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, -1, 101})
    void aCountThatIsASlipIsRefused(int count) {
        assertThatThrownBy(() -> KitAdding.of(EDITOR, EMPTY, CAMERA, count, 10))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatLeavesTakesItsLinesAndFreesItsKeysAndAllOfItComesBack() {
        Job job = with(with(EMPTY, STICK, 1), CAMERA, 3);
        Random random = new Random(1);
        for (int i = 0; i < 50; i++) {
            Device gone = job.devices().get(random.nextInt(job.devices().size()));
            ChangeSet removal = KitRemoving.of(job, Set.of(gone.id(), new DeviceId(999)));
            Job after = EDITOR.apply(job, removal);
            assertThat(after.devices()).hasSize(3).doesNotContain(gone);
            assertThat(after.lines()).noneMatch(l -> l.camera().equals(gone.id()));
            assertThat(after.lines())
                    .noneMatch(
                            l -> l.key().filter(k -> k.controller().equals(gone.id())).isPresent());
            assertThat(EDITOR.apply(after, removal.inverse())).isEqualTo(job);
        }
    }
}
