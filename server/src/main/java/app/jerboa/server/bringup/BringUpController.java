package app.jerboa.server.bringup;

import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import io.swagger.v3.oas.annotations.Parameter;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bring-up of a job. */
@RestController
@RequestMapping("/api/jobs/{job}/bring-up")
class BringUpController {
    private final BringUps bringUps;

    BringUpController(BringUps bringUps) {
        this.bringUps = bringUps;
    }

    @GetMapping
    BringUpView view(@PathVariable("job") long job) {
        return bringUps.view(job);
    }

    /** Starts, or starts again for the cameras that are not set yet. */
    @PostMapping("/start")
    @Needs(Right.PLAN)
    BringUpView start(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.start(job, person);
    }

    @PostMapping("/steps/{number}/check")
    @Needs(Right.PLAN)
    BringUpView.Outcome check(
            @PathVariable("job") long job,
            @PathVariable("number") int number,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.check(job, number, person);
    }

    /** Does the step in the simulated hall; it is not done before it is checked. */
    @PostMapping("/steps/{number}/rig-hands")
    @Needs(Right.PLAN)
    BringUpView act(@PathVariable("job") long job, @PathVariable("number") int number) {
        return bringUps.act(job, number);
    }
}
