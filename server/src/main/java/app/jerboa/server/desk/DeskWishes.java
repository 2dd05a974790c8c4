package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.motion.Feel;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What people say before heads move, and how they like them to move. */
@RestController
@RequestMapping("/api/jobs/{job}/desk")
class DeskWishes {
    /**
     * @param clear false takes it back
     */
    record ClearBody(List<Long> devices, boolean clear) {}

    record AirBody(boolean onAir) {}

    private final Gates gates;
    private final Feels feels;
    private final Desks desks;
    private final Jobs jobs;

    DeskWishes(Gates gates, Feels feels, Desks desks, Jobs jobs) {
        this.gates = gates;
        this.feels = feels;
        this.desks = desks;
        this.jobs = jobs;
    }

    /** Somebody at the place of these cameras says that nothing is in their way. */
    @PostMapping("/clear")
    @Needs(Right.DRIVE)
    void clear(
            @PathVariable("job") long job,
            @RequestBody ClearBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        List<Long> devices = body.devices() == null ? List.of() : body.devices();
        gates.say(job, devices, body.clear(), person);
        desks.regate(job);
    }

    /** Its picture goes out now, or no longer. */
    @PutMapping("/{device}/air")
    @Needs(Right.DRIVE)
    void air(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody AirBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        gates.air(new CameraId(job, device), body.onAir(), person);
        desks.regate(job);
    }

    /** Between these it points from now on, whoever drives it; all null for no limits. */
    @PutMapping("/{device}/limits")
    @Needs(Right.DRIVE)
    void limits(
            @PathVariable("job") long job,
            @PathVariable("device") long device,
            @RequestBody LimitsWish body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        gates.limit(new CameraId(job, device), body, person);
        desks.regate(job);
    }

    /** From now on, at every desk of this person, for every camera of this kind. */
    @PutMapping("/feels/{profile}")
    @Needs(Right.DRIVE)
    FeelBody feel(
            @PathVariable("job") long job,
            @PathVariable("profile") String profile,
            @RequestBody FeelWish body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        Profile kind = kind(jobs.load(job), profile);
        Feel feel = body.feel();
        feels.put(person, profile, feel);
        desks.feels(person, profile, feel);
        return FeelBody.of(kind, true, feel);
    }

    /** As the house likes it again. */
    @DeleteMapping("/feels/{profile}")
    @Needs(Right.DRIVE)
    FeelBody usual(
            @PathVariable("job") long job,
            @PathVariable("profile") String profile,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        Jobs.Stored stored = jobs.load(job);
        Profile kind = kind(stored, profile);
        feels.drop(person, profile);
        Feel feel = Feel.usual(DeskLaw.of(stored.job()));
        desks.feels(person, profile, feel);
        return FeelBody.of(kind, false, feel);
    }

    /** One that a camera of the job has. */
    private static Profile kind(Jobs.Stored stored, String id) {
        return stored.job().devices().stream()
                .map(Device::profile)
                .filter(p -> p.id().equals(id) && p.head().isPresent())
                .findFirst()
                .orElseThrow(() -> Problem.notFound("kind of camera"));
    }
}
