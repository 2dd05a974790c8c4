package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.TurnedRound;
import app.jerboa.server.desk.HandTurns;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which way a stick turns a head: set at the desk or at the camera, never at both. */
@RestController
@RequestMapping("/api/jobs/{job}/desk/{device}/turned")
class OrientationController {
    private final Jobs jobs;
    private final Teller teller;
    private final HandTurns turns;

    OrientationController(Jobs jobs, Teller teller, HandTurns turns) {
        this.jobs = jobs;
        this.teller = teller;
        this.turns = turns;
    }

    /**
     * A stick turns this head the other way on these axes, whoever drives it.
     *
     * @param pan stick right is head left
     */
    record TurnedBody(boolean pan, boolean tilt) {}

    @PutMapping
    @Needs(Right.DRIVE)
    void turned(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody TurnedBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Jobs.Stored stored = jobs.load(job);
        if (body.pan() || body.tilt()) {
            Device camera = stored.need(device);
            camera.profile().orientation().ifPresent(k -> insist(stored, camera, k, body));
        }
        turns.turn(job, device, body.pan(), body.tilt(), person);
    }

    /** A camera that does not say how it hangs is taken at the word of whoever stands before it. */
    private void insist(Jobs.Stored stored, Device camera, Knob knob, TurnedBody body) {
        Optional<Integer> read =
                Optional.ofNullable(
                                teller.read(stored, camera, List.of(knob), false).get(knob.name()))
                        .flatMap(Teller.Reading::value);
        Optional<TurnedRound> there = read.flatMap(knob::turns);
        if (there.filter(t -> t.pan() && body.pan() || t.tilt() && body.tilt()).isPresent()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "turned-at-camera",
                    Words.say(
                            "turned.at-camera",
                            Map.of(
                                    "camera", camera.name(),
                                    "knob", knob.name(),
                                    "value", knob.valueWords(read.orElseThrow()))));
        }
    }
}
