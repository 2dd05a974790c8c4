package app.jerboa.core.job.shot;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.PlannedTake;
import app.jerboa.core.job.Preset;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What was under a number is found again wherever it went, and every take shows what it showed. */
class PresetMovingTest {
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CINEMA_HEAD)
                    .head(OptionalDouble.of(2), OptionalDouble.of(1), 0.5)
                    .profile();

    private final JobUnderTest test = new JobUnderTest(HEAD);
    private final long l1 = test.device("L1", HEAD);
    private final long l2 = test.device("L2", HEAD);

    private void view(long camera, int number, String name) {
        test.add(
                ItemKind.PRESET,
                Field.PRESET_CAMERA,
                camera,
                Field.PRESET_NUMBER,
                number,
                Field.PRESET_NAME,
                name,
                Field.KEPT_PAN,
                100,
                Field.KEPT_TILT,
                0,
                Field.KEPT_AT,
                "2026-11-28T10:00:00Z");
    }

    private static String shown(Job job, PlannedTake take) {
        return job.presets().stream()
                .filter(p -> p.camera().equals(take.camera()))
                .filter(p -> p.number() == take.preset().orElse(-1))
                .map(Preset::name)
                .findFirst()
                .orElse("none");
    }

    @Test
    void takesFollowTheirViews() {
        long list = test.add(ItemKind.SHOT_LIST, Field.SHOTS_NAME, "First end");
        for (long camera : new long[] {l1, l2}) {
            for (int n = 0; n < 4; n++) {
                view(camera, n, camera + " view " + n);
                test.add(
                        ItemKind.TAKE,
                        Field.TAKE_LIST,
                        list,
                        Field.TAKE_START,
                        100 * n,
                        Field.TAKE_LENGTH,
                        20,
                        Field.TAKE_CAMERA,
                        camera,
                        Field.TAKE_PRESET,
                        n);
            }
        }
        Job job = test.job();
        List<String> before = job.takes().stream().map(t -> shown(job, t)).toList();
        Random random = new Random(6);
        Job now = job;
        for (int i = 0; i < 40; i++) {
            Preset one = now.presets().get(random.nextInt(now.presets().size()));
            int to = random.nextInt(7);
            now = test.editor().apply(now, PresetMoving.to(now, one, to));
            Job moved = now;
            assertThat(moved.takes().stream().map(t -> shown(moved, t))).isEqualTo(before);
            assertThat(ShotChecks.check(moved)).noneMatch(f -> f.code().equals(ShotCodes.TWICE));
            if (one.number() != to) {
                assertThat(moved.presets().stream().filter(p -> p.id() == one.id()))
                        .allMatch(p -> p.kept().at().isBlank(), "to be written again");
            }
        }
    }
}
