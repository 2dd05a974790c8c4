package app.jerboa.core.job.mount;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.profile.LensFit;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each code of mounting: there when it should be, not when not, gone after its fix. */
class MountChecksTest {
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CINEMA_HEAD)
                    .weighing(4)
                    .head(OptionalDouble.of(2), OptionalDouble.of(1), 0.5)
                    .profile();
    private static final Profile GIMBAL =
            SomeProfiles.of("gimbal", "Gimbal", Sort.GIMBAL_CAMERA)
                    .weighing(1)
                    .head(OptionalDouble.of(3), OptionalDouble.of(5), 3)
                    .profile();
    private static final Profile LONG_LENS =
            SomeProfiles.of("long", "Lens that lengthens", Sort.LENS)
                    .weighing(1)
                    .optics(LensFit.IS_A_LENS, false, true)
                    .profile();
    private static final Profile HEAVY =
            SomeProfiles.of("heavy", "Heavy lens", Sort.LENS).weighing(2.5).profile();

    private final JobUnderTest job = new JobUnderTest(HEAD, GIMBAL, LONG_LENS, HEAVY);

    private long camera(Profile profile) {
        long camera = job.device("L1", profile);
        job.line(1, camera);
        return camera;
    }

    @ParameterizedTest
    @CsvSource({
        "ceiling, '', false, both",
        "ceiling, 60, false, bond",
        "truss, '', true, rating",
        "ceiling, 60, true, ''",
        "tripod, '', false, ''",
    })
    void whatHangsOverheadNeedsARatingAndABond(
            String place, String fixing, boolean bond, String what) {
        job.mount(camera(HEAD), Field.PLACE, place, Field.FIXING, fixing, Field.BOND, bond);
        if (what.isEmpty()) {
            assertThat(job.codes(MountChecks::check)).isEmpty();
        } else {
            Finding found = job.only("MOUNT-BOND", MountChecks::check);
            assertThat(found.facts()).containsEntry("what", what);
        }
    }

    /** 4 kg times 5 is 20 kg. */
    @ParameterizedTest
    @CsvSource({"19, 5, MOUNT-LOAD", "20, 5, ''", "20, 6, MOUNT-LOAD"})
    void aFixingHoldsItsFactor(int fixing, String factor, String code) {
        job.site(Field.FIXING_FACTOR, factor);
        job.mount(camera(HEAD), Field.PLACE, "ceiling", Field.FIXING, fixing, Field.BOND, true);
        assertThat(String.join(",", job.codes(MountChecks::check))).isEqualTo(code);
    }

    @Test
    void payloadIsWhatIsFitted() {
        long camera = camera(HEAD);
        job.mount(camera, Field.PLACE, "tripod");
        assertThat(job.codes(MountChecks::check)).isEmpty();
        job.device("Lens", HEAVY, Field.FITTED, camera);
        assertThat(job.only("MOUNT-LOAD", MountChecks::check).facts())
                .containsEntry("what", "payload")
                .containsEntry("load", "2.5");
    }

    /** 2.5 kg at 30 mm hold 0.735 Nm; twice that is over 1 Nm. At 20 mm it is 0.98 Nm. */
    @ParameterizedTest
    @CsvSource({"30, true", "20, false"})
    void torqueIsTakenTwice(int along, boolean over) {
        long camera = camera(HEAD);
        job.mount(camera, Field.PLACE, "tripod");
        job.device("Lens", HEAVY, Field.FITTED, camera, Field.ALONG, along);
        boolean found =
                MountChecks.check(job.job()).stream()
                        .anyMatch(f -> "torque".equals(f.facts().get("what")));
        assertThat(found).isEqualTo(over);
    }

    @ParameterizedTest
    @CsvSource({
        "40, 50, 50, ''",
        "40, 50, 39, travel",
        "40, '', 50, half",
        "60, 50, 50, travel",
    })
    void aLensThatLengthensIsBalancedInBothStates(
            int along, String zoomed, int travel, String what) {
        long camera = camera(GIMBAL);
        job.mount(
                camera,
                Field.PLACE,
                "tripod",
                Field.PLATE_TRAVEL,
                travel,
                Field.BUS_SWITCH,
                "2",
                Field.FOLLOW,
                "lock");
        job.device(
                "Lens",
                LONG_LENS,
                Field.FITTED,
                camera,
                Field.ALONG,
                along,
                Field.ALONG_ZOOMED,
                zoomed);
        if (what.isEmpty()) {
            assertThat(job.codes(MountChecks::check)).isEmpty();
        } else {
            assertThat(job.only("MOUNT-BALANCE", MountChecks::check).facts())
                    .containsEntry("what", what);
        }
    }

    /** The head turns 170 degrees each way; half a turn, 180, is fine. */
    @Test
    void aHeadStopsBeforeItsLeadWraps() {
        long mount = job.mount(camera(HEAD), Field.PLACE, "tripod", Field.LEAD_ALLOWS, "90");
        assertThat(mount).isPositive();
        Finding found = job.only("MOUNT-WRAP", MountChecks::check);
        assertThat(JobUnderTest.text(found.fixes().get(0).changes().edits().get(0)))
                .endsWith("panLimit >90");
        assertThat(job.after(found.fixes().get(0), MountChecks::check)).isEmpty();
    }

    @Test
    void whatNobodyNotedIsSaidOnce() {
        camera(GIMBAL);
        assertThat(job.codes(MountChecks::check)).containsExactly("MOUNT-GIMBAL", "MOUNT-PLACE");
    }

    @Test
    void upsideDownIsSaid() {
        job.mount(camera(HEAD), Field.PLACE, "tripod", Field.INVERTED, true);
        assertThat(job.codes(MountChecks::check)).containsExactly("MOUNT-INVERTED");
    }
}
