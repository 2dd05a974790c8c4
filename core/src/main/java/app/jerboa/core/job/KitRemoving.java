package app.jerboa.core.job;

import app.jerboa.core.value.ChangeSet;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Edit;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Devices leaving the kit: their own lines go with them, lines on their keys lose the key only. */
public final class KitRemoving {
    private KitRemoving() {}

    /** Devices that the job does not have are passed over. */
    public static ChangeSet of(Job job, Set<DeviceId> gone) {
        List<Item> removes = new ArrayList<>();
        List<Edit> edits = new ArrayList<>();
        for (Line line : job.lines()) {
            if (gone.contains(line.camera())) {
                removes.add(JobItems.item(line));
            } else if (line.key().filter(k -> gone.contains(k.controller())).isPresent()) {
                Stream.of(Field.CONTROLLER, Field.KEY)
                        .map(f -> new Edit(line.ref(), f, JobItems.text(line, f), ""))
                        .forEach(edits::add);
            }
        }
        job.prepared().stream()
                .filter(p -> p.device().filter(gone::contains).isPresent())
                .map(JobItems::item)
                .forEach(removes::add);
        job.devices().stream()
                .filter(d -> gone.contains(d.id()))
                .map(JobItems::item)
                .forEach(removes::add);
        return new ChangeSet(List.of(), edits, removes);
    }
}
