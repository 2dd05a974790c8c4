package app.jerboa.server.kit;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Prepared;
import app.jerboa.core.job.kit.Preparation;
import app.jerboa.core.job.kit.Preparation.Task;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.change.Commands;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The before-the-van-leaves list, and its ticks. */
@RestController
@RequestMapping("/api/jobs/{job}/preparation")
class PreparationController {
    private static final int NAMED = 6;

    /**
     * One thing to do.
     *
     * @param device none when once is enough for all of the profile
     * @param reason fetch, pack or reset
     * @param names of the first devices it concerns, at most six
     * @param devices how many it concerns
     * @param doneBy who ticked it; empty while nobody did
     */
    record TaskBody(
            Optional<Long> device,
            String profile,
            String profileName,
            String reason,
            String kind,
            String what,
            String how,
            List<String> names,
            int devices,
            String doneBy) {
        static TaskBody of(Task t) {
            return new TaskBody(
                    t.device().map(DeviceId::value),
                    t.profile().id(),
                    t.profile().name(),
                    t.reason().name().toLowerCase(Locale.ROOT),
                    t.kind(),
                    t.what(),
                    t.how(),
                    t.devices().stream().limit(NAMED).map(Device::name).toList(),
                    t.devices().size(),
                    t.done().map(Prepared::person).orElse(""));
        }
    }

    record Tick(Optional<Long> device, String profile, String what, boolean done) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;

    PreparationController(Commands commands, Jobs jobs, JobViews views) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
    }

    @GetMapping
    List<TaskBody> list(@PathVariable("job") long job) {
        return Preparation.of(jobs.load(job).job()).stream().map(TaskBody::of).toList();
    }

    @PostMapping
    @Needs(Right.PLAN)
    JobPatch tick(
            @PathVariable("job") long job,
            @RequestBody Tick body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(
                commands.apply(job, stored -> change(stored, body, person), person), person);
    }

    private static ChangeSet change(Jobs.Stored stored, Tick body, Author person) {
        Task task = task(stored.job(), body);
        Optional<Prepared> done = task.done();
        if (done.isPresent() == body.done()) {
            return new ChangeSet(List.of(), List.of(), List.of());
        }
        return done.map(p -> new ChangeSet(List.of(), List.of(), List.of(JobItems.item(p))))
                .orElseGet(() -> ChangeSet.adding(item(stored.nextItem(), body, person)));
    }

    private static Task task(Job job, Tick body) {
        return Preparation.of(job).stream()
                .filter(t -> t.device().map(DeviceId::value).equals(body.device()))
                .filter(t -> t.profile().id().equals(body.profile()))
                .filter(t -> t.what().equals(body.what()))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("thing on the list"));
    }

    private static Item item(long id, Tick body, Author person) {
        return new Item(
                new ItemRef(ItemKind.PREPARED, id),
                Map.of(
                        Field.DONE_FOR, body.device().map(Object::toString).orElse(""),
                        Field.DONE_PROFILE, body.profile(),
                        Field.DONE_WHAT, body.what(),
                        Field.DONE_BY, person.displayName()));
    }
}
