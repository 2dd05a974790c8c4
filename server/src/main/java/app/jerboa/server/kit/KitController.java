package app.jerboa.server.kit;

import app.jerboa.core.job.KitAdding;
import app.jerboa.core.job.KitRemoving;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.job.Commands;
import app.jerboa.server.job.JobView;
import app.jerboa.server.job.JobViews;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.profile.Profiles;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The shelf of profiles, and devices coming and going. */
@RestController
class KitController {
    /**
     * A profile on the shelf.
     *
     * @param factoryAddress empty when it has no fixed one
     * @param keys how many cameras it selects; 0 for what is no controller
     */
    record ShelfProfile(
            String id,
            String name,
            String kind,
            String factoryAddress,
            int bootSeconds,
            int keys,
            boolean counting) {
        static ShelfProfile of(Profile p) {
            return new ShelfProfile(
                    p.id(),
                    p.name(),
                    p.kind().wire(),
                    p.factory().map(FactoryAddress::address).map(Ipv4::toString).orElse(""),
                    p.bootSeconds(),
                    p.keys().map(Profile.Keys::count).orElse(0),
                    p.keys().map(Profile.Keys::counting).orElse(false));
        }
    }

    record HowMany(String profile, int count) {}

    record Gone(List<Long> devices) {}

    private final Commands commands;
    private final Jobs jobs;
    private final JobViews views;
    private final Profiles profiles;

    KitController(Commands commands, Jobs jobs, JobViews views, Profiles profiles) {
        this.commands = commands;
        this.jobs = jobs;
        this.views = views;
        this.profiles = profiles;
    }

    @GetMapping("/api/profiles")
    List<ShelfProfile> shelf() {
        return profiles.all().stream().map(ShelfProfile::of).toList();
    }

    /** Adds so many of one profile, named, numbered, keyed and addressed. */
    @PostMapping("/api/jobs/{job}/kit")
    @Needs(Right.PLAN)
    JobView add(
            @PathVariable("job") long job,
            @RequestBody HowMany body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Profile profile =
                profiles.find(body.profile())
                        .orElseThrow(
                                () -> bad("profile", "There is no profile of that name here."));
        if (body.count() < 1 || body.count() > KitAdding.MOST) {
            throw bad("count", "How many is a number from 1 to " + KitAdding.MOST + ".");
        }
        commands.apply(
                job,
                stored ->
                        KitAdding.of(
                                jobs.editor(),
                                stored.job(),
                                profile,
                                body.count(),
                                stored.nextItem()),
                person);
        return views.view(job, person);
    }

    /** Takes devices out, with their lines; one undo brings all of it back. */
    @PostMapping("/api/jobs/{job}/kit/remove")
    @Needs(Right.PLAN)
    JobView remove(
            @PathVariable("job") long job,
            @RequestBody Gone body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Set<DeviceId> gone = body.devices().stream().map(DeviceId::new).collect(Collectors.toSet());
        commands.apply(job, stored -> KitRemoving.of(stored.job(), gone), person);
        return views.view(job, person);
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                sentence + " Nothing was changed.",
                Map.of("field", field));
    }
}
