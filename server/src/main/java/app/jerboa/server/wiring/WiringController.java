package app.jerboa.server.wiring;

import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.server.wiring.WiringBodies.WiringView;
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

    WiringController(Jobs jobs, Wirings wirings) {
        this.jobs = jobs;
        this.wirings = wirings;
    }

    /** Asks each switch once, when somebody presses; it reads and changes nothing. */
    @PostMapping("/ask")
    @Needs(Right.PLAN)
    WiringView ask(@PathVariable("job") long job) {
        return wirings.ask(jobs.load(job));
    }
}
