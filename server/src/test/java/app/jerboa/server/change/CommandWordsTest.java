package app.jerboa.server.change;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.shot.PresetMoving;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.server.jobfile.DemoItems;
import app.jerboa.server.profile.TestProfiles;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the logbook says of a change: the view and its camera, never what was read of it. */
class CommandWordsTest {
    private final Job job = new JobEditor(TestProfiles.profiles()).read(DemoItems.all());
    private final Preset wide = job.presets().get(0);

    private static Edit edit(ItemRef ref, Field field, String after) {
        return new Edit(ref, field, "", after);
    }

    private String said(Edit... edits) {
        return CommandWords.label(job, ChangeSet.edits(Arrays.asList(edits)));
    }

    @Test
    void aViewThatIsStoredAgainIsSaidOnce() {
        assertThat(
                        said(
                                edit(wide.ref(), Field.KEPT_PAN, "120"),
                                edit(wide.ref(), Field.KEPT_TILT, "-30"),
                                edit(wide.ref(), Field.KEPT_KNOBS, "iris=12"),
                                edit(wide.ref(), Field.KEPT_AT, "2026-11-28T10:00:00Z"),
                                edit(wide.ref(), Field.KEPT_BY, "Mei Farrow")))
                .isEqualTo("Preset 1-1 of L1 wide stored again");
    }

    @Test
    void aViewThatGoesElsewhereIsCalledAsItWas() {
        assertThat(CommandWords.label(job, PresetMoving.to(job, wide, 9)))
                .startsWith("Preset 1-1 of L1 wide: number 0 to 9");
    }

    @Test
    void whatIsStruckIsNamedAndWhatWasReadAloneStillSaysSomething() {
        assertThat(
                        CommandWords.label(
                                job,
                                new ChangeSet(List.of(), List.of(), List.of(JobItems.item(wide)))))
                .contains("Preset 1-1 of L1 wide");
        assertThat(said(edit(wide.ref(), Field.KEPT_PAN, "120"))).contains("pan");
        assertThat(said(edit(new ItemRef(ItemKind.PRESET, 9_999), Field.PRESET_NAME, "x")))
                .doesNotContain("9999");
    }
}
