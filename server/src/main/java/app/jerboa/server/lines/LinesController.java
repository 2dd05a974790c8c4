package app.jerboa.server.lines;

import app.jerboa.core.job.control.LinesMaking;
import app.jerboa.core.job.identity.LineOrder;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import io.swagger.v3.oas.annotations.Parameter;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the kit can give the lines, and their order. */
@RestController
@RequestMapping("/api/jobs/{job}/lines")
class LinesController {
    /** The line's new place, from 0. */
    record Place(int to) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;

    LinesController(Commands commands, Jobs jobs, JobViews views) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
    }

    /** Changes that would fit, key and patch what lies loose; none when nothing is missing. */
    @GetMapping("/missing")
    ChangesBody missing(@PathVariable("job") long job) {
        return ChangesBody.of(LinesMaking.missing(jobs.editor(), jobs.load(job).job()));
    }

    /** All numbers that followed the line's follow it on. */
    @PostMapping("/{line}/place")
    @Needs(Right.PLAN)
    JobPatch move(
            @PathVariable("job") long job,
            @PathVariable("line") long line,
            @RequestBody Place body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(
                commands.apply(
                        job, stored -> LineOrder.moved(stored.job(), line, body.to()), person),
                person);
    }
}
