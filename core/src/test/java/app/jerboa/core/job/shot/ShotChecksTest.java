package app.jerboa.core.job.shot;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.kit.KitRemoving;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each code of shot lists: there when it should be, not when not, gone after its fix. */
class ShotChecksTest {
    /** 60 degrees a second; its profile does not say how it gathers speed: 90 degrees/s² then. */
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CINEMA_HEAD)
                    .head(OptionalDouble.of(2), OptionalDouble.of(1), 0.5)
                    .profile();

    private final JobUnderTest job = new JobUnderTest(HEAD);
    private final long l1 = job.device("L1", HEAD);
    private final long l2 = job.device("L2", HEAD);
    private final long list = job.add(ItemKind.SHOT_LIST, Field.SHOTS_NAME, "First end");

    private void view(long camera, int number, String name, String subject, Object pan) {
        job.add(
                ItemKind.PRESET,
                Field.PRESET_CAMERA,
                camera,
                Field.PRESET_NUMBER,
                number,
                Field.PRESET_NAME,
                name,
                Field.PRESET_SUBJECT,
                subject,
                Field.KEPT_PAN,
                pan,
                Field.KEPT_TILT,
                pan.equals("") ? "" : 0);
    }

    private long take(double start, long camera, Object preset) {
        return job.add(
                ItemKind.TAKE,
                Field.TAKE_LIST,
                list,
                Field.TAKE_START,
                Math.round(start * 10),
                Field.TAKE_LENGTH,
                20,
                Field.TAKE_CAMERA,
                camera,
                Field.TAKE_PRESET,
                preset);
    }

    private void views() {
        view(l1, 0, "wide", "", 0);
        view(l1, 1, "house end", "", 9_000);
        view(l2, 4, "from the side", "House end", -2_000);
    }

    /** 90 degrees: 90/60 + 60/90 = 2.17 s and half a second to settle. */
    @ParameterizedTest
    @CsvSource({"6.7, ''", "6.6, between", "4.5, between"})
    void aWayThatDoesNotFitIsLate(double start, String what) {
        views();
        take(0, l1, 0);
        take(4, l2, 4);
        take(start, l1, 1);
        if (what.isEmpty()) {
            assertThat(job.codes(ShotChecks::check)).isEmpty();
            return;
        }
        Finding late = job.only("SHOT-LATE", ShotChecks::check);
        assertThat(late.facts())
                .containsEntry("what", what)
                .containsEntry("take", "3")
                .containsEntry("before", "1")
                .containsEntry("needed", "2.7")
                .containsEntry("offer", "Offered: take 3 by L2, preset 4 (from the side).");
        // The other view of the same subject is that camera's take before: nothing to move.
        assertThat(late.fixes()).hasSize(1);
        assertThat(job.after(late.fixes().get(0), ShotChecks::check)).isEmpty();
    }

    @Test
    void rightBehindItsOwnTakeItMovesWhileItIsOnAir() {
        views();
        take(0, l1, 1);
        take(3, l1, 0);
        Finding late = job.only("SHOT-LATE", ShotChecks::check);
        assertThat(late.facts()).containsEntry("what", "at-once").containsEntry("free", "0.0");
        assertThat(late.fixes().stream().map(Fix::key)).containsExactly("other-views");
        Job after = job.after(late.fixes().get(0).changes());
        assertThat(after.takes().get(0).camera()).isEqualTo(new DeviceId(l2));
    }

    @Test
    void withoutAnotherViewOfItNothingIsOffered() {
        views();
        view(l1, 2, "door", "", -9_000);
        take(0, l1, 0);
        take(3, l1, 2);
        Finding late = job.only("SHOT-LATE", ShotChecks::check);
        assertThat(late.fixes()).isEmpty();
        assertThat(late.facts()).containsEntry("offer", "No other view of the same subject helps.");
    }

    @Test
    void aViewThatNobodyKnowsIsSaidAndNeverLate() {
        views();
        view(l2, 5, "noted only", "", "");
        take(0, l2, 5);
        take(1, l2, 4);
        take(2, l1, 77);
        take(3, l1, "");
        assertThat(ShotChecks.check(job.job()))
                .extracting(f -> f.code() + " " + f.facts().get("take") + f.facts().get("what"))
                .containsExactly("SHOT-VIEW 1unread", "SHOT-VIEW 3none");
    }

    /** One that was only noted is in no camera yet, and one that was read can be written back. */
    @Test
    void viewsOfWhichNothingWasReadLiveInOnePlaceOnly() {
        views();
        for (int number = 10; number < 12; number++) {
            job.add(
                    ItemKind.PRESET,
                    Field.PRESET_CAMERA,
                    l2,
                    Field.PRESET_NUMBER,
                    number,
                    Field.PRESET_NAME,
                    "by the door",
                    Field.KEPT_AT,
                    "2026-11-28T10:00:00Z");
        }
        view(l2, 12, "noted only", "", "");
        Finding kept = job.only("PRESET-KEPT", ShotChecks::check);
        assertThat(kept.facts())
                .containsEntry("device", "L2")
                .containsEntry("count", "2")
                .containsEntry("what", "camera");
    }

    @Test
    void twoViewsUnderOneNumberAreToldAndTheLaterCanGo() {
        view(l1, 3, "wide", "", 0);
        view(l1, 3, "wide again", "", 100);
        view(l2, 3, "wide", "", 0);
        Finding twice = job.only("PRESET-TWICE", ShotChecks::check);
        assertThat(job.after(twice.fixes().get(0), ShotChecks::check)).isEmpty();
        assertThat(job.after(twice.fixes().get(0).changes()).presets().get(0).name())
                .isEqualTo("wide");
    }

    @Test
    void aCameraThatLeavesTheKitTakesItsTakesAlong() {
        views();
        take(0, l1, 0);
        take(4, l2, 4);
        Job without = job.after(KitRemoving.of(job.job(), Set.of(new DeviceId(l1))));
        assertThat(without.takes()).hasSize(1);
        assertThat(ShotPlan.of(without).get(0).takes().get(0).until()).isEqualTo(6);
    }

    /** A list that stayed the same is not searched again, and stands as it was. */
    @Test
    void anotherNameOfACameraChangesNoAnswer() {
        views();
        take(0, l1, 0);
        long late = take(1, l1, 1);
        Job before = job.job();
        ShotPlan plan = ShotPlan.of(before).get(0);
        assertThat(plan.number(plan.changes().get(0).take())).isEqualTo(2);
        assertThat(plan.changes().get(0).take().id()).isEqualTo(late);
        assertThat(plan.late(plan.takes().get(1))).isPresent();
        assertThat(plan.late(plan.takes().get(0))).isEmpty();
    }
}
