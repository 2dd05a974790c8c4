package app.jerboa.server.wiring;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.wiring.WiringBodies.WiringView;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The wiring as the network switches tell it. */
@RestController
@RequestMapping("/api/jobs/{job}/wiring")
class WiringController {
    private final Jobs jobs;
    private final Wirings wirings;
    private final Observations observations;

    WiringController(Jobs jobs, Wirings wirings, Observations observations) {
        this.observations = observations;
        this.jobs = jobs;
        this.wirings = wirings;
    }

    /**
     * Asks each switch once, when somebody presses; it reads, and what it reads is kept as the
     * links of the devices.
     */
    @PostMapping("/ask")
    @Needs(Right.PLAN)
    WiringView ask(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Jobs.Stored stored = jobs.load(job);
        Wirings.Asked asked = wirings.ask(stored);
        observations.add(job, links(stored.job(), asked.wiring()), person.displayName());
        return wirings.view(stored, asked);
    }

    private static List<NewObservation> links(Job plan, SeenWiring seen) {
        return seen.runs().stream()
                .map(
                        r -> {
                            LinkSeen link = LinkSeen.of(plan, r);
                            return NewObservation.of(
                                    r.device().id(),
                                    Topic.LINK,
                                    link.port(),
                                    Evidence.ASKED,
                                    link.outcome(),
                                    link.detail());
                        })
                .toList();
    }
}
