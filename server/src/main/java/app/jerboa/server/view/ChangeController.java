package app.jerboa.server.view;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.job.proof.ProveAgain;
import app.jerboa.server.change.ChangesBody;
import app.jerboa.server.change.Commands;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Once;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The commands that change a job; each answers with what it did to the job. */
@RestController
@RequestMapping("/api/jobs/{job}")
class ChangeController {
    /** What a change set would do: findings gone, findings new, what must be proved again. */
    record Preview(
            ChangesBody changes,
            List<FindingBody> gone,
            List<FindingBody> fresh,
            List<AgainBody> again) {}

    /** Tests of a device that would have to be done again. */
    record AgainBody(long deviceId, String device, List<String> tests) {
        static AgainBody of(ProveAgain again) {
            return new AgainBody(
                    again.device().value(),
                    again.name(),
                    again.topics().stream().map(t -> Words.say("test." + t.wire())).toList());
        }
    }

    /** Accepts the finding of this key, with a reason. */
    record Waive(String finding, String reason) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;

    ChangeController(Commands commands, Jobs jobs, JobViews views) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
    }

    @PostMapping("/changes/preview")
    @Needs(Right.READ)
    Preview preview(@PathVariable("job") long job, @RequestBody ChangesBody body) {
        Commands.Trial trial = commands.preview(job, body);
        Proof proof = trial.before().proof();
        List<FindingBody> before = views.findings(proof);
        List<FindingBody> after = views.findings(Proof.of(trial.after(), trial.before().seen()));
        return new Preview(
                body,
                missingFrom(after, before),
                missingFrom(before, after),
                ProveAgain.of(proof, trial.after()).stream().map(AgainBody::of).toList());
    }

    /** Those of {@code all} that {@code others} lack. */
    private static List<FindingBody> missingFrom(List<FindingBody> others, List<FindingBody> all) {
        Set<String> known = others.stream().map(FindingBody::key).collect(Collectors.toSet());
        return all.stream().filter(f -> !known.contains(f.key())).toList();
    }

    @PostMapping("/changes")
    @Needs(Right.DRIVE)
    JobPatch change(
            @PathVariable("job") long job,
            @RequestBody ChangesBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        try {
            return views.patch(commands.apply(job, body, person), person);
        } catch (Problem e) {
            if (e.code().equals(Once.CODE)) {
                return views.present(job, person);
            }
            throw e;
        }
    }

    @PostMapping("/undo")
    @Needs(Right.DRIVE)
    JobPatch undo(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(commands.undo(job, person), person);
    }

    @PostMapping("/redo")
    @Needs(Right.DRIVE)
    JobPatch redo(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(commands.redo(job, person), person);
    }

    /** It stays visible as waived, with the name and the reason. */
    @PostMapping("/waivers")
    @Needs(Right.PLAN)
    JobPatch waive(
            @PathVariable("job") long job,
            @RequestBody Waive body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        boolean standing =
                views.findings(jobs.load(job).proof()).stream()
                        .anyMatch(f -> f.key().equals(body.finding()) && f.waiver().isEmpty());
        if (!standing) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-such-finding",
                    Words.say("refused.no-finding"),
                    Map.of("field", "finding"));
        }
        Item waiver =
                new Item(
                        new ItemRef(ItemKind.WAIVER, -1),
                        Map.of(
                                Field.WAIVED, body.finding(),
                                Field.REASON, body.reason().strip(),
                                Field.WAIVED_BY, person.displayName()));
        return views.patch(commands.apply(job, ChangeSet.adding(waiver), person), person);
    }

    @DeleteMapping("/waivers/{waiver}")
    @Needs(Right.PLAN)
    JobPatch unwaive(
            @PathVariable("job") long job,
            @PathVariable("waiver") long waiver,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        ItemRef ref = new ItemRef(ItemKind.WAIVER, waiver);
        Job present = jobs.load(job).job();
        if (present.item(ref).isEmpty()) {
            throw Problem.notFound("waiver");
        }
        ChangeSet removal =
                new ChangeSet(List.of(), List.of(), JobEditor.standing(present, List.of(ref)));
        return views.patch(commands.apply(job, removal, person), person);
    }
}
