package app.jerboa.server.bringup;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The bring-up of a job. */
@RestController
@RequestMapping("/api/jobs/{job}/bring-up")
class BringUpController {
    private static final int LONGEST_SAW = 300;

    /** Method empty or left out for the recommended one. */
    record StartBody(String method, boolean workshop) {}

    /** What was seen instead; the address it was seen at, if any. */
    record SawBody(String saw, String address) {}

    private final BringUps bringUps;

    BringUpController(BringUps bringUps) {
        this.bringUps = bringUps;
    }

    @GetMapping
    BringUpView view(@PathVariable("job") long job) {
        return bringUps.view(job);
    }

    /** Every method side by side, with its time. */
    @GetMapping("/methods")
    MethodsView methods(
            @PathVariable("job") long job,
            @RequestParam(name = "workshop", defaultValue = "false") boolean workshop) {
        return bringUps.methods(job, workshop);
    }

    /** Starts, or starts again for the devices that are not set yet. */
    @PostMapping("/start")
    @Needs(Right.PLAN)
    BringUpView start(
            @PathVariable("job") long job,
            @RequestBody StartBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.start(job, method(body.method()), body.workshop(), person);
    }

    private static Optional<BringUpMethod> method(String word) {
        if (word == null || word.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                BringUpMethod.fromWire(word)
                        .orElseThrow(() -> bad("method", Words.say("refused.method"))));
    }

    /** On paper: the one under way, else as it would be by a method. */
    @GetMapping(value = "/sheet.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> sheet(
            @PathVariable("job") long job,
            @RequestParam(name = "method", defaultValue = "") String method,
            @RequestParam(name = "workshop", defaultValue = "false") boolean workshop) {
        return bringUps.sheet(job, method(method), workshop);
    }

    /** Ends the one under way, so that another method can be chosen; what is set stays set. */
    @PostMapping("/end")
    @Needs(Right.PLAN)
    BringUpView end(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.end(job, person);
    }

    /** Plans what is left anew. */
    @PostMapping("/replan")
    @Needs(Right.PLAN)
    BringUpView replan(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.replan(job, person);
    }

    @PostMapping("/steps/{number}/check")
    @Needs(Right.PLAN)
    BringUpView.Outcome check(
            @PathVariable("job") long job,
            @PathVariable("number") int number,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.check(job, number, person);
    }

    /** Something else was seen than the step expects. */
    @PostMapping("/steps/{number}/differs")
    @Needs(Right.PLAN)
    BringUpView differs(
            @PathVariable("job") long job,
            @PathVariable("number") int number,
            @RequestBody SawBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Optional<Ipv4> at =
                body.address() == null || body.address().isBlank()
                        ? Optional.empty()
                        : Optional.of(Ipv4.parse(body.address().strip()));
        return bringUps.differs(job, number, saw(body), at, person);
    }

    /** It did not work: its device is put aside, the others go on. */
    @PostMapping("/steps/{number}/aside")
    @Needs(Right.PLAN)
    BringUpView aside(
            @PathVariable("job") long job,
            @PathVariable("number") int number,
            @RequestBody SawBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return bringUps.putAside(job, number, saw(body), person);
    }

    private static String saw(SawBody body) {
        String saw = body.saw() == null ? "" : body.saw().strip();
        if (saw.isEmpty() || saw.length() > LONGEST_SAW) {
            throw bad("saw", Words.say("refused.saw", Map.of("most", LONGEST_SAW)));
        }
        return saw;
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, "bad-value", sentence, Map.of("field", field));
    }

    /** Does the step in the simulated hall; it is not done before it is checked. */
    @PostMapping("/steps/{number}/rig-hands")
    @Needs(Right.PLAN)
    BringUpView act(@PathVariable("job") long job, @PathVariable("number") int number) {
        return bringUps.act(job, number);
    }
}
