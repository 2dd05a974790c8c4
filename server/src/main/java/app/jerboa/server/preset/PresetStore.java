package app.jerboa.server.preset;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.core.profile.Presets;
import app.jerboa.server.change.Commands;
import app.jerboa.server.desk.BorrowedLinks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Has a camera keep how it looks now, and keeps beside it what was read: the camera may be swapped
 * or reset.
 */
@Component
class PresetStore {
    private static final int PATIENCE_SECONDS = 3;

    /** A head that crept further than this between two readings still moves. */
    private static final int BETWEEN_READINGS_MILLIS = 150;

    private final BorrowedLinks links;
    private final KnobReading knobs;
    private final PresetStills stills;
    private final Commands commands;

    PresetStore(BorrowedLinks links, KnobReading knobs, PresetStills stills, Commands commands) {
        this.stills = stills;
        this.links = links;
        this.knobs = knobs;
        this.commands = commands;
    }

    /** Where it pointed; empty for one that tells nothing back. */
    private record View(PanTilt at, ZoomPosition zoom, double countsPerDegree) {}

    /**
     * @throws Problem for a number that it has not, while it moves, or when it refuses
     */
    Commands.Done store(
            Jobs.Stored stored, Device camera, int number, PresetBodies.StoreBody body, Person by) {
        insistOnNumber(camera, number);
        Optional<View> view = links.with(stored, camera, by, link -> kept(link, camera, number));
        Map<String, Integer> read = knobs.read(stored, camera);
        stills.take(stored, camera, number);
        String at = Instant.now().truncatedTo(ChronoUnit.SECONDS).toString();
        return commands.apply(
                stored.id(), s -> change(s, camera, number, values(body, view, read, at, by)), by);
    }

    private static void insistOnNumber(Device camera, int number) {
        Presets can = camera.profile().presets().orElseThrow(() -> Problem.notFound("preset"));
        if (!can.holds(number)) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say(
                            "preset.number",
                            Map.of(
                                    "camera", camera.name(),
                                    "numbers", "0 to " + (can.count() - 1),
                                    "number", Integer.toString(number))),
                    Map.of("field", "number"));
        }
    }

    private static Optional<View> kept(HeadLink link, Device camera, int number) {
        try {
            Optional<View> view =
                    link.can().tells() ? Optional.of(view(link, camera)) : Optional.empty();
            Answers.await(link.store(number), PATIENCE_SECONDS);
            return view;
        } catch (NoAnswer e) {
            throw conflict(
                    "refused",
                    Words.say(
                            "preset.refused",
                            Map.of("camera", camera.name(), "why", e.getMessage())));
        }
    }

    private static View view(HeadLink link, Device camera) {
        PanTilt first = Answers.await(link.askPanTilt(false), PATIENCE_SECONDS);
        pause();
        PanTilt at = Answers.await(link.askPanTilt(false), PATIENCE_SECONDS);
        ZoomPosition zoom = Answers.await(link.askZoom(false), PATIENCE_SECONDS);
        if (!first.equals(at)) {
            throw conflict("moves", Words.say("preset.moves", Map.of("camera", camera.name())));
        }
        double counts =
                link.can()
                        .countsPerDegree()
                        .orElse(camera.profile().head().orElseThrow().countsPerDegree());
        return new View(at, zoom, counts);
    }

    private static Problem conflict(String code, String sentence) {
        return new Problem(HttpStatus.CONFLICT, code, sentence, Map.of());
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(BETWEEN_READINGS_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static Map<Field, String> values(
            PresetBodies.StoreBody body,
            Optional<View> view,
            Map<String, Integer> read,
            String at,
            Person by) {
        Map<Field, String> values = new EnumMap<>(Field.class);
        values.put(Field.PRESET_NAME, body.name().strip());
        values.put(Field.PRESET_NOTE, body.note().strip());
        values.put(Field.KEPT_PAN, view.map(v -> hundredths(v.at().pan(), v)).orElse(""));
        values.put(Field.KEPT_TILT, view.map(v -> hundredths(v.at().tilt(), v)).orElse(""));
        values.put(Field.KEPT_ZOOM, view.map(v -> "" + v.zoom().counts()).orElse(""));
        values.put(Field.KEPT_KNOBS, PresetKnobs.text(read));
        values.put(Field.KEPT_AT, at);
        values.put(Field.KEPT_BY, by.displayName());
        return values;
    }

    private static String hundredths(int counts, View view) {
        return Long.toString(Math.round(100 * counts / view.countsPerDegree()));
    }

    private static ChangeSet change(
            Jobs.Stored stored, Device camera, int number, Map<Field, String> values) {
        Optional<Preset> there = find(stored.job(), camera, number);
        if (there.isEmpty()) {
            values.put(Field.PRESET_CAMERA, Long.toString(camera.id().value()));
            values.put(Field.PRESET_NUMBER, Integer.toString(number));
            ItemRef ref = new ItemRef(ItemKind.PRESET, stored.nextItem());
            return ChangeSet.adding(new Item(ref, values));
        }
        Item before = JobItems.item(there.get());
        List<Edit> edits =
                values.entrySet().stream()
                        .filter(v -> !before.text(v.getKey()).equals(v.getValue()))
                        .map(
                                v ->
                                        new Edit(
                                                before.ref(),
                                                v.getKey(),
                                                before.text(v.getKey()),
                                                v.getValue()))
                        .toList();
        return new ChangeSet(List.of(), edits, List.of());
    }

    private static Optional<Preset> find(Job job, Device camera, int number) {
        return job.presets().stream()
                .filter(p -> p.camera().equals(camera.id()) && p.number() == number)
                .findFirst();
    }
}
