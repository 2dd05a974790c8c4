package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetCaller;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.PresetCall;
import app.jerboa.server.platform.PdfTable;
import app.jerboa.server.platform.PdfTable.Column;
import app.jerboa.server.preset.PresetBodies.LostPart;
import app.jerboa.server.preset.PresetBodies.PresetBody;
import app.jerboa.server.preset.PresetBodies.PresetRow;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Which camera is on which key and what its views are called there, to be hung beside the desk. */
final class KeyMap {
    private static final List<Column> KEYS =
            List.of(
                    new Column("Key", 30),
                    new Column("Line", 34),
                    new Column("Camera", 110),
                    new Column("Address", 90),
                    new Column("Control ID", 60),
                    new Column("Views, by its keys", 430));

    private static final List<Column> VIEWS =
            List.of(
                    new Column("Camera", 80),
                    new Column("Its key", 50),
                    new Column("In the camera", 60),
                    new Column("Name", 110),
                    new Column("Note", 120),
                    new Column("Comes back", 170),
                    new Column("Does not come back", 170));

    private KeyMap() {}

    static byte[] pdf(Job job, List<PresetRow> rows) {
        List<PdfTable.Table> tables = new ArrayList<>();
        for (Device controller : job.devices()) {
            List<List<String>> keys = keys(job, controller);
            if (!keys.isEmpty()) {
                tables.add(
                        new PdfTable.Table(
                                Words.say("key-map.of", Map.of("controller", controller.name())),
                                KEYS,
                                keys));
            }
        }
        List<List<String>> views =
                rows.stream().flatMap(r -> r.presets().stream().map(p -> view(r, p))).toList();
        if (!views.isEmpty()) {
            tables.add(new PdfTable.Table(Words.say("key-map.views"), VIEWS, views));
        }
        return PdfTable.of(Words.say("key-map.title", Map.of("job", job.name())), tables);
    }

    private static List<List<String>> keys(Job job, Device controller) {
        KitIndex kit = KitIndex.of(job);
        PresetNumbering numbers = PresetNumbering.of(job);
        Map<Integer, List<String>> byKey = new TreeMap<>();
        for (Line line : job.lines()) {
            Device camera = kit.device(line.camera());
            numbers.callers(line.camera()).stream()
                    .filter(c -> c.controller().id().equals(controller.id()))
                    .forEach(
                            c ->
                                    byKey.put(
                                            c.key().orElse(0),
                                            List.of(
                                                    Integer.toString(c.key().orElse(0)),
                                                    "L" + line.number(),
                                                    camera.name(),
                                                    camera.address().map(Ipv4::toString).orElse(""),
                                                    Integer.toString(line.controlId()),
                                                    views(job, camera, c))));
        }
        return List.copyOf(byKey.values());
    }

    private static String views(Job job, Device camera, PresetCaller caller) {
        if (caller.how() != PresetCaller.How.CALLS) {
            return PresetBodies.words(caller, camera);
        }
        return job.presets().stream()
                .filter(p -> p.camera().equals(camera.id()))
                .sorted(Comparator.comparingInt(Preset::number))
                .flatMap(
                        p ->
                                caller.call(p.number()).map(PresetCall::toString).stream()
                                        .map(c -> (c + " " + p.name()).strip()))
                .collect(Collectors.joining(",  "));
    }

    private static List<String> view(PresetRow row, PresetBody p) {
        return List.of(
                row.camera(),
                p.called().isEmpty() ? "–" : p.called(),
                Integer.toString(p.number()),
                p.name(),
                p.note(),
                String.join(", ", p.stored()),
                p.lost().stream().map(LostPart::part).collect(Collectors.joining(", ")));
    }
}
