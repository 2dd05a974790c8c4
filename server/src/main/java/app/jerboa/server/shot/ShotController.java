package app.jerboa.server.shot;

import app.jerboa.core.job.shot.ShotPlan;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.shot.ShotBodies.ShotListBody;
import app.jerboa.server.shot.ShotBodies.ShotRunBody;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Shot lists with what their cameras need, on paper, and run by hand. */
@RestController
@RequestMapping("/api/jobs/{job}/shot-lists")
class ShotController {
    /**
     * @param clear somebody at the heads said that nobody and nothing is in their way
     * @param from id of the take to go on from; empty for the first
     */
    record RunStart(boolean clear, Optional<Long> from) {}

    /**
     * @param expected id of the take that the page shows as next, empty for none: somebody else may
     *     have gone on meanwhile
     * @param anyway though its camera is not there yet
     */
    record RunStep(Optional<Long> expected, boolean anyway) {}

    private final Jobs jobs;
    private final ShotRuns runs;

    ShotController(Jobs jobs, ShotRuns runs) {
        this.jobs = jobs;
        this.runs = runs;
    }

    @GetMapping
    List<ShotListBody> lists(@PathVariable("job") long job) {
        Jobs.Stored stored = jobs.load(job);
        return ShotPlan.of(stored.job()).stream().map(p -> ShotBodies.of(stored.job(), p)).toList();
    }

    private static ShotListBody list(Jobs.Stored stored, long list) {
        return ShotPlan.of(stored.job()).stream()
                .filter(p -> p.shots().id() == list)
                .findFirst()
                .map(p -> ShotBodies.of(stored.job(), p))
                .orElseThrow(() -> Problem.notFound("shot list"));
    }

    @GetMapping(value = "/{list}/shots.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@PathVariable("job") long job, @PathVariable("list") long list) {
        Jobs.Stored stored = jobs.load(job);
        ShotListBody shots = list(stored, list);
        return Download.text(
                "text/csv", Download.name(shots.name(), "shots.csv"), ShotSheet.csv(shots));
    }

    @GetMapping(value = "/{list}/shots.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> pdf(@PathVariable("job") long job, @PathVariable("list") long list) {
        Jobs.Stored stored = jobs.load(job);
        ShotListBody shots = list(stored, list);
        return Download.of(
                "application/pdf",
                Download.name(shots.name(), "shots.pdf"),
                ShotSheet.pdf(stored.job().name(), shots));
    }

    @GetMapping("/run")
    ShotRunBody run(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return runs.view(job, person);
    }

    /** Cameras are sent to their first views; nothing is on air yet. */
    @PostMapping("/{list}/run")
    @Needs(Right.DRIVE)
    ShotRunBody begin(
            @PathVariable("job") long job,
            @PathVariable("list") long list,
            @RequestBody RunStart body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpSession session) {
        runs.begin(jobs.load(job), list, body, person, session.getId());
        return runs.view(job, person);
    }

    /** The take that is up next goes on air. */
    @PostMapping("/run/next")
    @Needs(Right.DRIVE)
    ShotRunBody next(
            @PathVariable("job") long job,
            @RequestBody RunStep body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.next(jobs.load(job), body, person);
        return runs.view(job, person);
    }

    /** The take that is up next is left out. */
    @PostMapping("/run/skip")
    @Needs(Right.DRIVE)
    ShotRunBody skip(
            @PathVariable("job") long job,
            @RequestBody RunStep body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.move(jobs.load(job), body, 1);
        return runs.view(job, person);
    }

    /** The take before the one that is up next is up next. */
    @PostMapping("/run/back")
    @Needs(Right.DRIVE)
    ShotRunBody back(
            @PathVariable("job") long job,
            @RequestBody RunStep body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.move(jobs.load(job), body, -1);
        return runs.view(job, person);
    }

    /** The take on air begins anew. */
    @PostMapping("/run/again")
    @Needs(Right.DRIVE)
    ShotRunBody again(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.again(job);
        return runs.view(job, person);
    }

    /** The page of whoever runs it is there: without it no camera moves on. */
    @PostMapping("/run/here")
    @Needs(Right.DRIVE)
    ShotRunBody here(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.here(job, person);
        return runs.view(job, person);
    }

    @PostMapping("/run/end")
    @Needs(Right.DRIVE)
    ShotRunBody end(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.end(job);
        return runs.view(job, person);
    }
}
