package app.jerboa.server.job;

import app.jerboa.core.job.Job;
import app.jerboa.core.value.Change;
import app.jerboa.server.findings.ChangeBody;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.people.Person;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs and the commands that change them. */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    /** A job in the list, with how many of its lines are how far. */
    record JobSummary(
            long id, String name, String cidr, int lines, int planned, int set, int differs) {}

    record Changes(List<ChangeBody> changes) {
        List<Change> toChanges() {
            return changes.stream().map(ChangeBody::toChange).toList();
        }
    }

    /** What a change set would do: findings gone, findings new. */
    record Preview(List<ChangeBody> changes, List<FindingBody> gone, List<FindingBody> fresh) {}

    private final JobMapper mapper;
    private final JobViews views;
    private final Commands commands;
    private final DemoJob demo;

    JobController(JobMapper mapper, JobViews views, Commands commands, DemoJob demo) {
        this.mapper = mapper;
        this.views = views;
        this.commands = commands;
        this.demo = demo;
    }

    @GetMapping
    List<JobSummary> list(@Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return mapper.summaries(person.id()).stream()
                .map(
                        r ->
                                new JobSummary(
                                        r.id(),
                                        r.name(),
                                        r.cidr(),
                                        r.lines(),
                                        r.planned(),
                                        r.set(),
                                        r.differs()))
                .toList();
    }

    @PostMapping("/demo")
    @ResponseStatus(HttpStatus.CREATED)
    JobView createDemo(@Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return views.view(demo.create(person), person);
    }

    @GetMapping("/{job}")
    JobView one(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        return views.view(job, person);
    }

    @PostMapping("/{job}/changes/preview")
    Preview preview(@PathVariable("job") long job, @RequestBody Changes body) {
        List<FindingBody> before = views.findings(commands.preview(job, List.of()));
        Job changed = commands.preview(job, body.toChanges());
        List<FindingBody> after = views.findings(changed);
        return new Preview(body.changes(), missingFrom(after, before), missingFrom(before, after));
    }

    /** Those of {@code all} that {@code others} lack. */
    private static List<FindingBody> missingFrom(List<FindingBody> others, List<FindingBody> all) {
        Set<String> known = others.stream().map(FindingBody::key).collect(Collectors.toSet());
        return all.stream().filter(f -> !known.contains(f.key())).toList();
    }

    @PostMapping("/{job}/changes")
    JobView change(
            @PathVariable("job") long job,
            @RequestBody Changes body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        commands.apply(job, body.toChanges(), person);
        return views.view(job, person);
    }

    @PostMapping("/{job}/undo")
    JobView undo(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        commands.undo(job, person);
        return views.view(job, person);
    }

    @PostMapping("/{job}/redo")
    JobView redo(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        commands.redo(job, person);
        return views.view(job, person);
    }
}
