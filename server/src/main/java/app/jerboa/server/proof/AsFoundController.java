package app.jerboa.server.proof;

import app.jerboa.core.job.proof.AsFound;
import app.jerboa.server.change.EditBody;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.words.Words;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Devices as they were found beside as they are planned. */
@RestController
@RequestMapping("/api/jobs/{job}/as-found")
class AsFoundController {
    /** One device, of which something was asked or seen. */
    record AsFoundBody(long deviceId, String device, List<FoundFactBody> facts) {}

    /**
     * One fact of it.
     *
     * @param what the topic, for example {@code mac}
     * @param words what that is called
     * @param planned blank where the plan says nothing of it
     * @param found blank where the outcome says all
     * @param standing one word, for example {@code asked} or {@code differs}
     * @param follow the edit by which the plan takes over what was found
     * @param fills the plan says nothing of it yet
     */
    record FoundFactBody(
            String what,
            String words,
            String planned,
            String found,
            String standing,
            OffsetDateTime since,
            Optional<EditBody> follow,
            boolean fills) {}

    private final Jobs jobs;

    AsFoundController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping
    List<AsFoundBody> asFound(@PathVariable("job") long job) {
        return AsFound.of(jobs.load(job).proof()).stream()
                .map(
                        a ->
                                new AsFoundBody(
                                        a.device().id().value(),
                                        a.device().name(),
                                        a.facts().stream().map(AsFoundController::body).toList()))
                .toList();
    }

    private static FoundFactBody body(AsFound.FoundFact f) {
        return new FoundFactBody(
                f.topic().wire(),
                Words.say("test." + f.topic().wire()),
                f.planned(),
                f.found(),
                f.standing().state().wire(),
                f.by().at().atOffset(ZoneOffset.UTC),
                f.follow().map(EditBody::of),
                f.fills());
    }
}
