package app.jerboa.core.job.kit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobItem;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Devices leaving the kit: their own lines go with them; what pointed to them points to nothing.
 */
public final class KitRemoving {
    private final Set<DeviceId> gone;
    private final List<Item> removes = new ArrayList<>();
    private final List<Edit> edits = new ArrayList<>();

    private KitRemoving(Set<DeviceId> gone) {
        this.gone = gone;
    }

    /** Devices that the job does not have are passed over. */
    public static ChangeSet of(Job job, Set<DeviceId> gone) {
        return new KitRemoving(gone).of(job);
    }

    private ChangeSet of(Job job) {
        for (Line line : job.lines()) {
            if (gone.contains(line.camera())) {
                removes.add(JobItems.item(line));
            } else {
                loosen(line, line.key().map(Line.Key::controller), Field.CONTROLLER, Field.KEY);
                loosen(line, line.also().map(Line.Key::controller), Field.ALSO, Field.ALSO_KEY);
                loosen(line, line.paint().map(Line.Key::controller), Field.PANEL, Field.PANEL_KEY);
                loosen(line, line.input().map(Line.Input::switcher), Field.SWITCHER, Field.INPUT);
            }
        }
        Set<Long> goneLines = removes.stream().map(i -> i.ref().id()).collect(Collectors.toSet());
        job.routes().stream()
                .filter(
                        r ->
                                goneLines.contains(r.line())
                                        || gone.contains(r.controller())
                                        || r.through().filter(gone::contains).isPresent())
                .map(JobItems::item)
                .forEach(removes::add);
        job.mounts().stream()
                .filter(m -> gone.contains(m.camera()))
                .map(JobItems::item)
                .forEach(removes::add);
        job.presets().stream()
                .filter(p -> gone.contains(p.camera()))
                .map(JobItems::item)
                .forEach(removes::add);
        job.takes().stream()
                .filter(t -> gone.contains(t.camera()))
                .map(JobItems::item)
                .forEach(removes::add);
        job.runs().stream()
                .filter(r -> gone.contains(r.from().device()) || gone.contains(r.to().device()))
                .map(JobItems::item)
                .forEach(removes::add);
        job.devices().stream()
                .filter(d -> !gone.contains(d.id()))
                .forEach(d -> loosen(d, d.fitted(), Field.FITTED));
        job.prepared().stream()
                .filter(p -> p.device().filter(gone::contains).isPresent())
                .map(JobItems::item)
                .forEach(removes::add);
        job.secrets().stream()
                .filter(s -> s.device().filter(gone::contains).isPresent())
                .map(JobItems::item)
                .forEach(removes::add);
        job.devices().stream()
                .filter(d -> gone.contains(d.id()))
                .map(JobItems::item)
                .forEach(removes::add);
        return new ChangeSet(List.of(), edits, removes);
    }

    /** What points to something that goes points to nothing then. */
    private void loosen(JobItem item, Optional<DeviceId> to, Field... fields) {
        if (to.filter(gone::contains).isPresent()) {
            Stream.of(fields)
                    .map(f -> new Edit(item.ref(), f, JobItems.text(item, f), ""))
                    .forEach(edits::add);
        }
    }
}
