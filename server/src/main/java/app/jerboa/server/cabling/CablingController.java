package app.jerboa.server.cabling;

import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.cabling.Connecting;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.cabling.CablingBodies.CablingBody;
import app.jerboa.server.cabling.CablingBodies.JoinBody;
import app.jerboa.server.cabling.CablingBodies.RunBody;
import app.jerboa.server.cabling.CablingBodies.SocketBody;
import app.jerboa.server.cabling.CablingBodies.WhatIf;
import app.jerboa.server.cabling.CablingBodies.WhatIfSums;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.change.Commands;
import app.jerboa.server.change.EditBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The cabling of a job: its drawing, its runs, what they could be. */
@RestController
@RequestMapping("/api/jobs/{job}/cabling")
class CablingController {
    private static final double MOST_VOLTS = 60;

    private final Jobs jobs;
    private final Commands commands;

    CablingController(Jobs jobs, Commands commands) {
        this.jobs = jobs;
        this.commands = commands;
    }

    @GetMapping
    CablingBody page(@PathVariable("job") long job) {
        return new CablingViews(jobs.load(job).job()).page();
    }

    /** Runs that would join what lies loose; none when everything is. */
    @GetMapping("/missing")
    ChangesBody missing(@PathVariable("job") long job) {
        return ChangesBody.of(Connecting.all(jobs.load(job).job()));
    }

    /** The sockets of a device that runs are joined at. */
    @GetMapping("/sockets")
    List<SocketBody> sockets(@PathVariable("job") long job, @RequestParam("device") long device) {
        return new CablingViews(jobs.load(job).job()).sockets(new DeviceId(device));
    }

    /** What a socket could be joined with, and what speaks against the rest. */
    @GetMapping("/joins")
    List<JoinBody> joins(
            @PathVariable("job") long job,
            @RequestParam("device") long device,
            @RequestParam("port") String port) {
        return new CablingViews(jobs.load(job).job()).joins(new DeviceId(device), port);
    }

    @GetMapping("/runs/{run}")
    RunBody run(@PathVariable("job") long job, @PathVariable("run") long run) {
        Job stored = jobs.load(job).job();
        return new CablingViews(stored).run(need(stored, run));
    }

    /** The sums of a run as it might be; nothing is stored. */
    @PostMapping("/runs/{run}/what-if")
    @Needs(Right.READ)
    WhatIfSums whatIf(
            @PathVariable("job") long job,
            @PathVariable("run") long run,
            @RequestBody WhatIf body) {
        Job stored = jobs.load(job).job();
        if (body.volts().isPresent()
                && !(body.volts().getAsDouble() >= 0 && body.volts().getAsDouble() <= MOST_VOLTS)) {
            throw refused("volts", Words.say("refused.volts"));
        }
        Run now = need(stored, run);
        Job other =
                body.texts().isEmpty()
                        ? stored
                        : commands.preview(job, changes(now, body.texts())).after();
        return new WhatIfSums(RunSums.of(other, run, body.volts()));
    }

    private static ChangesBody changes(Run run, Map<String, String> texts) {
        List<EditBody> edits = new ArrayList<>();
        texts.forEach(
                (name, text) -> {
                    Field field =
                            Field.fromWire(ItemKind.RUN, name)
                                    .orElseThrow(
                                            () -> refused(name, Words.say("refused.run-field")));
                    String now = JobItems.text(run, field);
                    edits.add(EditBody.of(new Edit(run.ref(), field, now, text)));
                });
        return new ChangesBody(List.of(), edits, List.of());
    }

    private static Problem refused(String field, String why) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "text-rejected",
                "\"" + field + "\": " + why + ".",
                Map.of("field", field));
    }

    private static Run need(Job job, long run) {
        return job.runs().stream()
                .filter(r -> r.id() == run)
                .findFirst()
                .orElseThrow(() -> Problem.notFound("run"));
    }

    @GetMapping(value = "/drawing.svg", produces = "image/svg+xml")
    ResponseEntity<byte[]> svg(@PathVariable("job") long job) {
        Job stored = jobs.load(job).job();
        return Download.text(
                "image/svg+xml",
                "cabling.svg",
                DrawingSvg.of(CablingViews.drawing(stored), stored.name()));
    }

    @GetMapping(value = "/drawing.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(@PathVariable("job") long job) {
        Job stored = jobs.load(job).job();
        return Download.of(
                MediaType.APPLICATION_PDF_VALUE,
                "cabling.pdf",
                DrawingPdf.of(CablingViews.drawing(stored), stored.name()));
    }
}
