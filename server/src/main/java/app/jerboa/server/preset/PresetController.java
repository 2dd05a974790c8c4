package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.preset.PresetBodies.PresetRow;
import app.jerboa.server.preset.PresetBodies.StoreBody;
import app.jerboa.server.preset.RowBodies.CopyRow;
import app.jerboa.server.preset.RowBodies.MovePreset;
import app.jerboa.server.preset.RowBodies.RowRunBody;
import app.jerboa.server.preset.RowBodies.RowStart;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The views of every camera; recalling one moves a head, so that goes by the desk's own line. */
@RestController
@RequestMapping("/api/jobs/{job}/presets")
class PresetController {
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_NOTE = 120;

    private final Jobs jobs;
    private final JobViews views;
    private final PresetStore store;
    private final Rows rows;
    private final PresetStills stills;

    PresetController(Jobs jobs, JobViews views, PresetStore store, Rows rows, PresetStills stills) {
        this.stills = stills;
        this.rows = rows;
        this.jobs = jobs;
        this.views = views;
        this.store = store;
    }

    /** In line order; a camera that keeps none is left out. */
    @GetMapping
    List<PresetRow> presets(@PathVariable("job") long id) {
        return rows(id, jobs.load(id).job());
    }

    /** Which camera is on which key, and what its views are called there: to be printed. */
    @GetMapping(value = "/key-map.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> keyMap(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        return Download.of(
                "application/pdf",
                Download.name(job.name(), "key-map.pdf"),
                KeyMap.pdf(job, rows(id, job)));
    }

    private List<PresetRow> rows(long id, Job job) {
        Map<Long, List<Preset>> of =
                job.presets().stream()
                        .sorted(Comparator.comparingInt(Preset::number))
                        .collect(Collectors.groupingBy(p -> p.camera().value()));
        Map<Long, Map<Integer, Long>> taken = stills.taken(id);
        return job.lines().stream().flatMap(l -> row(job, l, of, taken)).toList();
    }

    private static Stream<PresetRow> row(
            Job job, Line line, Map<Long, List<Preset>> of, Map<Long, Map<Integer, Long>> taken) {
        return job.device(line.camera()).stream()
                .flatMap(
                        d ->
                                d.profile().presets().stream()
                                        .filter(p -> d.profile().head().isPresent())
                                        .map(
                                                p ->
                                                        PresetBodies.row(
                                                                PresetNumbering.of(job),
                                                                line,
                                                                d,
                                                                p,
                                                                of.getOrDefault(
                                                                        d.id().value(), List.of()),
                                                                taken.getOrDefault(
                                                                        d.id().value(),
                                                                        Map.of()))));
    }

    /** What the camera saw when it stored the view. */
    @GetMapping("/{device}/{number}/still")
    ResponseEntity<byte[]> still(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @PathVariable("number") int number) {
        byte[] picture =
                stills.picture(job, device, number).orElseThrow(() -> Problem.notFound("picture"));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                .contentType(MediaType.IMAGE_JPEG)
                .body(picture);
    }

    /** The camera keeps how it looks now; what is read goes with it into the job. */
    @PostMapping("/{device}/{number}")
    @Needs(Right.DRIVE)
    JobPatch store(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @PathVariable("number") int number,
            @RequestBody StoreBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        insistOnLength("name", body.name(), LONGEST_NAME);
        insistOnLength("note", body.note(), LONGEST_NOTE);
        Jobs.Stored stored = jobs.load(job);
        Device camera = stored.need(device);
        return views.patch(store.store(stored, camera, number, body, (Person) by), by);
    }

    /** It gets another number; whatever has that one changes places with it, and takes follow. */
    @PostMapping("/{device}/{number}/move")
    @Needs(Right.DRIVE)
    JobPatch move(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @PathVariable("number") int number,
            @RequestBody MovePreset body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Commands.Done done =
                rows.move(stored.id(), stored.need(device), number, body.to(), (Person) by);
        return views.patch(done, by);
    }

    /** A program that goes to each view of a camera. */
    @GetMapping("/run")
    RowRunBody run(@PathVariable("job") long job) {
        return rows.view(job);
    }

    /** The head moves to each view: clear and off air. */
    @PostMapping("/{device}/run")
    @Needs(Right.DRIVE)
    RowRunBody start(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody RowStart body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpSession session) {
        Jobs.Stored stored = jobs.load(job);
        rows.start(stored, stored.need(device), body, person, session.getId());
        return rows.view(job);
    }

    @PostMapping("/run/cancel")
    @Needs(Right.DRIVE)
    RowRunBody cancel(@PathVariable("job") long job) {
        rows.cancel(job);
        return rows.view(job);
    }

    @PostMapping("/{device}/copy")
    @Needs(Right.DRIVE)
    JobPatch copy(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody CopyRow body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Commands.Done done =
                rows.copy(stored, stored.need(device), stored.need(body.to()), (Person) by);
        return views.patch(done, by);
    }

    private static void insistOnLength(String field, String text, int most) {
        if (text == null || text.strip().length() > most) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-value",
                    Words.say("refused.preset-text", Map.of("field", field, "most", most)),
                    Map.of("field", field));
        }
    }
}
