package app.jerboa.server.kit;

import app.jerboa.core.job.kit.KitAdding;
import app.jerboa.core.job.kit.KitRemoving;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Devices coming and going. */
@RestController
@RequestMapping("/api/jobs/{job}/kit")
class KitController {
    record HowMany(String profile, int count) {}

    record Gone(List<Long> devices) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;

    KitController(Commands commands, Jobs jobs, JobViews views) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
    }

    /** Adds so many of one profile, named, numbered, keyed and addressed. */
    @PostMapping
    @Needs(Right.PLAN)
    JobPatch add(
            @PathVariable("job") long job,
            @RequestBody HowMany body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        if (body.count() < 1 || body.count() > KitAdding.MOST) {
            throw bad("count", Words.say("refused.how-many", Map.of("most", KitAdding.MOST)));
        }
        return views.patch(
                commands.apply(
                        job,
                        stored ->
                                KitAdding.of(
                                        jobs.editor(),
                                        stored.job(),
                                        profile(stored, body.profile()),
                                        body.count(),
                                        stored.nextItem()),
                        person),
                person);
    }

    private Profile profile(Jobs.Stored stored, String id) {
        return jobs.editor()
                .shelf(stored.job())
                .find(id)
                .orElseThrow(() -> bad("profile", Words.say("refused.no-profile")));
    }

    /** Takes devices out, with their lines; one undo brings all of it back. */
    @PostMapping("/remove")
    @Needs(Right.PLAN)
    JobPatch remove(
            @PathVariable("job") long job,
            @RequestBody Gone body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Set<DeviceId> gone = body.devices().stream().map(DeviceId::new).collect(Collectors.toSet());
        return views.patch(
                commands.apply(job, stored -> KitRemoving.of(stored.job(), gone), person), person);
    }

    static Problem bad(String field, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                sentence + " Nothing was changed.",
                Map.of("field", field));
    }
}
