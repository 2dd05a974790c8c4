package app.jerboa.core.job.shot;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.text.JobItems;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A view gets another number: whatever has it changes places with it, and takes follow both. What
 * the camera keeps under the two numbers is another view now, so neither counts as stored in it
 * until its row is written again.
 */
public final class PresetMoving {
    private PresetMoving() {}

    public static ChangeSet to(Job job, Preset preset, int to) {
        List<Edit> edits = new ArrayList<>();
        Optional<Preset> other =
                job.presets().stream()
                        .filter(p -> p.camera().equals(preset.camera()) && p.number() == to)
                        .filter(p -> p.id() != preset.id())
                        .findFirst();
        renumber(edits, preset, to);
        other.ifPresent(o -> renumber(edits, o, preset.number()));
        job.takes().stream()
                .filter(t -> t.camera().equals(preset.camera()) && t.preset().isPresent())
                .forEach(
                        t -> {
                            int shows = t.preset().getAsInt();
                            if (shows == preset.number()) {
                                edit(edits, JobItems.item(t), Field.TAKE_PRESET, to);
                            } else if (shows == to && other.isPresent()) {
                                edit(edits, JobItems.item(t), Field.TAKE_PRESET, preset.number());
                            }
                        });
        return ChangeSet.edits(edits);
    }

    private static void renumber(List<Edit> edits, Preset preset, int to) {
        Item item = JobItems.item(preset);
        edit(edits, item, Field.PRESET_NUMBER, to);
        edit(edits, item, Field.KEPT_AT, "");
    }

    private static void edit(List<Edit> edits, Item item, Field field, Object after) {
        String before = item.text(field);
        if (!before.equals(after.toString())) {
            edits.add(new Edit(item.ref(), field, before, after.toString()));
        }
    }
}
