package app.jerboa.core.job.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LimitRulesTest {
    private static final Axis AXIS =
            new Axis(-30, 30, 1, 60, OptionalInt.of(24), "", "", "", OptionalDouble.empty());
    private static final Profile BOX = SomeProfiles.of("box", "Box", Sort.BOX_CAMERA).profile();

    private static Profile head(String axes) {
        return axes.equals("none")
                ? BOX
                : SomeProfiles.of("head", "Head", Sort.CEILING_PTZ)
                        .head(OptionalDouble.empty(), OptionalDouble.empty(), 1)
                        .axes(
                                Optional.of(AXIS).filter(x -> axes.contains("roll")),
                                Optional.of(AXIS).filter(x -> axes.contains("rail")))
                        .profile();
    }

    /** Of a head with which axes, which limit, and why not; a blank one is taken away. */
    @ParameterizedTest
    @CsvSource({
        "pan tilt, softLeft, -3050, ''",
        "pan tilt, softUp, 4000, ''",
        "pan tilt, softRollLeft, -1250, text.no-roll",
        "pan tilt, softRailTo, 225, text.no-rail",
        "pan tilt, softRailTo, '', ''",
        "pan tilt roll, softRollRight, 800, ''",
        "pan tilt roll, softRailFrom, 10, text.no-rail",
        "pan tilt rail, softRailFrom, 10, ''",
        "pan tilt rail, softRollLeft, -10, text.no-roll",
        "none, softLeft, -100, text.no-head",
        "none, softLeft, '', ''"
    })
    void aLimitIsSetWhereTheHeadGoes(String axes, String field, String to, String why) {
        Profile profile = head(axes);
        JobUnderTest plan = new JobUnderTest(profile);
        Field of = Field.fromWire(ItemKind.DEVICE, field).orElseThrow();
        // As it may have been stored before there was a rule.
        String was = to.isEmpty() ? "20" : "";
        DeviceId device = new DeviceId(plan.device("L1", profile, of, was));
        Job before = plan.job();
        ChangeSet change =
                ChangeSet.edits(
                        List.of(new Edit(before.device(device).orElseThrow().ref(), of, was, to)));
        Job after = plan.editor().apply(before, change);
        if (why.isEmpty()) {
            LimitRules.check(after, change);
        } else {
            assertThatThrownBy(() -> LimitRules.check(after, change))
                    .isInstanceOfSatisfying(
                            ItemRejected.class,
                            e -> {
                                assertThat(e.field()).isEqualTo(of);
                                assertThat(e.text().reason().key()).isEqualTo(why);
                            });
        }
        // What has nothing to do with limits is not kept back by one that is there.
        LimitRules.check(after, ChangeSet.edits(List.of()));
    }
}
