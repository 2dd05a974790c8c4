package app.jerboa.server.tally;

import app.jerboa.core.job.Job;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where it is known from what is on air. */
@RestController
@RequestMapping("/api/jobs/{job}/tally")
class TallyController {
    /**
     * @param switcher id of the one it is read from; empty where it is said by hand
     * @param possible those that say what is on programme
     */
    record TallyBody(Optional<Long> switcher, List<TallySource> possible) {}

    /**
     * @param cameras names of those at its inputs, as planned
     */
    record TallySource(long id, String name, List<String> cameras) {}

    /**
     * @param switcher empty for by hand
     */
    record TallyWish(Optional<Long> switcher) {}

    private final Jobs jobs;
    private final Tallies tallies;
    private final MachineDesks desks;

    TallyController(Jobs jobs, Tallies tallies, MachineDesks desks) {
        this.jobs = jobs;
        this.tallies = tallies;
        this.desks = desks;
    }

    @GetMapping
    TallyBody tally(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        return new TallyBody(
                tallies.source(id),
                Tallies.possible(job).stream()
                        .map(
                                d ->
                                        new TallySource(
                                                d.id().value(),
                                                d.name(),
                                                Tallies.inputs(job, d.id()).values().stream()
                                                        .flatMap(
                                                                c ->
                                                                        job
                                                                                .device(
                                                                                        new DeviceId(
                                                                                                c))
                                                                                .stream())
                                                        .map(c -> c.name())
                                                        .toList()))
                        .toList());
    }

    @PutMapping
    @Needs(Right.DRIVE)
    TallyBody set(
            @PathVariable("job") long job,
            @RequestBody TallyWish body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        body.switcher()
                .ifPresentOrElse(s -> tallies.read(job, s, by), () -> tallies.byHand(job, by));
        desks.said(job);
        return tally(job);
    }
}
