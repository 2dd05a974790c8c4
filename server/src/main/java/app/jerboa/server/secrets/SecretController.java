package app.jerboa.server.secrets;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Secret;
import app.jerboa.core.job.secret.SecretPolicy;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.PasswordRule;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.view.JobPatch;
import app.jerboa.server.view.JobViews;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The secrets of a job: everybody sees that there are some, who plans can see what they are. */
@RestController
@RequestMapping("/api/jobs/{job}/secrets")
class SecretController {
    private final SecretService secrets;
    private final Jobs jobs;
    private final JobViews views;
    private final boolean works;

    SecretController(SecretService secrets, Jobs jobs, JobViews views, Settings settings) {
        this.secrets = secrets;
        this.jobs = jobs;
        this.views = views;
        this.works = !settings.secretKey().isEmpty();
    }

    @GetMapping
    SecretBodies.SecretsBody all(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        Map<DeviceId, Secret> passwords = new HashMap<>();
        List<SecretBodies.SecretBody> rows = new ArrayList<>();
        for (Secret s : job.secrets()) {
            if (s.isPassword() && s.device().isPresent()) {
                passwords.putIfAbsent(s.device().get(), s);
            } else {
                rows.add(row(Optional.of(s), s.device().flatMap(job::device)));
            }
        }
        for (Device d : job.devices()) {
            Optional<Secret> kept = Optional.ofNullable(passwords.get(d.id()));
            if (kept.isPresent() || d.addressed() && asksForOne(d)) {
                rows.add(row(kept, Optional.of(d)));
            }
        }
        return new SecretBodies.SecretsBody(works, rows);
    }

    private static boolean asksForOne(Device d) {
        return d.profile()
                .access()
                .map(Access::password)
                .filter(p -> p != PasswordRule.NONE)
                .isPresent();
    }

    private static SecretBodies.SecretBody row(Optional<Secret> kept, Optional<Device> device) {
        Optional<Access> access = device.flatMap(d -> d.profile().access());
        SecretPolicy policy =
                device.map(d -> SecretPolicy.of(d.profile())).orElse(SecretPolicy.FREE);
        return new SecretBodies.SecretBody(
                kept.map(Secret::id),
                device.map(d -> d.id().value()),
                device.map(Device::name).orElse(""),
                kept.map(Secret::use).orElse(Secrets.PASSWORD),
                kept.map(Secret::name).orElse(access.map(Access::user).orElse("")),
                kept.map(Secret::origin).orElse(""),
                access.map(a -> a.password().toString()).orElse(""),
                policy.letters().toString(),
                policy.longest());
    }

    /** New passwords, each as its device can take it. */
    @PostMapping("/make")
    @Needs(Right.PLAN)
    JobPatch make(
            @PathVariable("job") long job,
            @RequestBody SecretBodies.MakeBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(secrets.make(job, body.deviceIds(), person), person);
    }

    /** One that was typed. */
    @PostMapping
    @Needs(Right.PLAN)
    JobPatch type(
            @PathVariable("job") long job,
            @RequestBody SecretBodies.TypeBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(secrets.type(job, body, person), person);
    }

    /** Not kept any longer. */
    @DeleteMapping("/{secret}")
    @Needs(Right.PLAN)
    JobPatch forget(
            @PathVariable("job") long job,
            @PathVariable("secret") long secret,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(secrets.forget(job, secret, person), person);
    }

    /** In clear; the logbook says who looked. */
    @PostMapping("/{secret}/show")
    @Needs(Right.PLAN)
    SecretBodies.ShownBody show(
            @PathVariable("job") long job,
            @PathVariable("secret") long secret,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return secrets.show(job, secret, person);
    }
}
