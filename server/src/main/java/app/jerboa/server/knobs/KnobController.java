package app.jerboa.server.knobs;

import app.jerboa.core.job.Device;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobBodies.DeviceReadings;
import app.jerboa.server.knobs.KnobBodies.ReadBody;
import app.jerboa.server.knobs.KnobBodies.ReadingBody;
import app.jerboa.server.knobs.KnobBodies.SayBody;
import app.jerboa.server.knobs.KnobBodies.SayView;
import app.jerboa.server.knobs.KnobBodies.Told;
import app.jerboa.server.knobs.KnobBodies.ToldView;
import app.jerboa.server.knobs.KnobBodies.TryBody;
import app.jerboa.server.knobs.KnobBodies.TryView;
import app.jerboa.server.knobs.KnobBodies.TurnBody;
import app.jerboa.server.knobs.KnobBodies.VerbTold;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.octets.Decoded;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Knobs and verbs of devices: what there is, what they stand at, turning and telling. */
@RestController
@RequestMapping("/api/jobs/{job}/told")
class KnobController {
    private final Jobs jobs;
    private final KnobService service;

    KnobController(Jobs jobs, KnobService service) {
        this.jobs = jobs;
        this.service = service;
    }

    /** Every camera of the job that can be told something. */
    @GetMapping
    List<ToldView> all(@PathVariable("job") long job) {
        return service.all(jobs.load(job));
    }

    /** What knobs stand at; the devices are asked beside each other. */
    @PostMapping("/readings")
    @Needs(Right.READ)
    List<DeviceReadings> read(@PathVariable("job") long job, @RequestBody ReadBody body) {
        return service.read(jobs.load(job), body.devices(), body.pressed());
    }

    @PostMapping("/{device}/turn")
    @Needs(Right.DRIVE)
    ReadingBody turn(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @RequestBody TurnBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        return service.turn(stored, stored.need(number), body, (Person) by);
    }

    @PostMapping("/{device}/tell")
    @Needs(Right.DRIVE)
    Told tell(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @RequestBody VerbTold body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        return service.tell(stored, stored.need(number), body, (Person) by);
    }

    /** Exactly what would go out. */
    @PostMapping("/{device}/preview")
    @Needs(Right.READ)
    SayView preview(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @RequestBody SayBody body) {
        Jobs.Stored stored = jobs.load(job);
        return service.preview(stored, stored.need(number), body);
    }

    /** A lead lets exactly this be sent to devices of the same profile. */
    @PostMapping("/{device}/approve")
    @Needs(Right.MANAGE)
    SayView approve(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @RequestBody SayBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        return service.approve(stored, stored.need(number), body, by);
    }

    /** The certificate that the device shows next is its own from now on. */
    @DeleteMapping("/{device}/certificate")
    @Needs(Right.MANAGE)
    Told forgetCertificate(
            @PathVariable("job") long job,
            @PathVariable("device") long number,
            @Parameter(hidden = true) @AuthenticationPrincipal Author by) {
        Jobs.Stored stored = jobs.load(job);
        Device device = stored.need(number);
        return service.forgetCertificate(stored, device, by);
    }

    /** Where a value stands in an answer that somebody pasted. */
    @PostMapping("/try")
    @Needs(Right.READ)
    TryView tryAnswer(@PathVariable("job") long job, @RequestBody TryBody body) {
        try {
            Decoded<String> read =
                    AnswerShape.of(body.pointer(), body.pattern()).read(body.answer());
            return read.toOptional()
                    .map(v -> new TryView(v, ""))
                    .orElseGet(() -> new TryView("", read.reason()));
        } catch (IllegalArgumentException e) {
            return new TryView("", e.getMessage());
        }
    }
}
