package app.jerboa.server.jobfile;

import app.jerboa.core.item.Item;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.edit.ItemMissing;
import app.jerboa.core.job.edit.JobEditor;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.server.job.JobLibrary;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Download;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.profile.Profiles;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.secrets.SecretFile;
import app.jerboa.server.view.JobView;
import app.jerboa.server.view.JobViews;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs out to files and in from files. */
@RestController
class JobFileController {
    /** What secrets are sealed with. */
    record SealBody(String passphrase) {
        @Override
        public String toString() {
            return "SealBody[…]";
        }
    }

    private final Jobs jobs;
    private final JobLibrary library;
    private final JobViews views;
    private final Logbook log;
    private final Profiles profiles;
    private final SecretFile secrets;
    private final DemoJob demo;
    private final Observations observations;
    private final TransactionTemplate transactions;

    JobFileController(
            Jobs jobs,
            JobLibrary library,
            JobViews views,
            Logbook log,
            Profiles profiles,
            SecretFile secrets,
            DemoJob demo,
            Observations observations,
            TransactionTemplate transactions) {
        this.jobs = jobs;
        this.library = library;
        this.views = views;
        this.log = log;
        this.profiles = profiles;
        this.secrets = secrets;
        this.demo = demo;
        this.observations = observations;
        this.transactions = transactions;
    }

    @GetMapping(value = "/api/jobs/{job}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> export(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        String name = job.name().replaceAll("[^A-Za-z0-9]+", "-") + ".jerboa.json";
        return Download.of(
                MediaType.APPLICATION_JSON_VALUE, name, JobFileWriter.write(job, log.forFile(id)));
    }

    /** With its secrets, which open with the passphrase only; the logbook says who took them. */
    @PostMapping(value = "/api/jobs/{job}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    @Needs(Right.PLAN)
    ResponseEntity<byte[]> exportSealed(
            @PathVariable("job") long id,
            @RequestBody SealBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Job job = jobs.load(id).job();
        String sealed = secrets.seal(job, Objects.requireNonNullElse(body.passphrase(), ""));
        log.file(id, Words.say("logged.exported"), person);
        return Download.of(
                MediaType.APPLICATION_JSON_VALUE,
                Download.name(job.name(), "with-secrets.jerboa.json"),
                JobFileWriter.write(job, log.forFile(id), Optional.of(sealed)));
    }

    /** Makes a new job of the file, or nothing at all; secrets come along with their passphrase. */
    @PostMapping(value = "/api/jobs/file", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    JobView makeFrom(
            @RequestBody byte[] file,
            @RequestHeader(name = "X-Passphrase", defaultValue = "") String passphrase,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        JobFile read = read(file);
        List<Item> items = withSecrets(read, passphrase);
        Long job =
                transactions.execute(
                        t -> {
                            long made = library.make(items, Words.say("logged.from-file"), person);
                            log.fromFile(made, read.logJson());
                            observations.add(
                                    made,
                                    read.observations(jobs.load(made).job()),
                                    person.displayName());
                            return made;
                        });
        return views.view(job, person);
    }

    @PostMapping("/api/jobs/demo")
    @ResponseStatus(HttpStatus.CREATED)
    JobView createDemo(@Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.view(demo.make(person), person);
    }

    private List<Item> withSecrets(JobFile read, String passphrase) {
        if (read.sealedSecrets().isEmpty() || passphrase.isEmpty()) {
            return read.items();
        }
        String plain = URLDecoder.decode(passphrase, StandardCharsets.UTF_8);
        long next = 1 + read.items().stream().mapToLong(i -> i.ref().id()).max().orElse(0);
        List<Item> all = new ArrayList<>(read.items());
        all.addAll(secrets.open(read.sealedSecrets().get(), plain, next));
        try {
            new JobEditor(profiles).read(all);
        } catch (ItemRejected | ItemMissing e) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-file",
                    Words.say("refused.file-secrets"),
                    Map.of("place", "/" + JobFileFormat.SEALED));
        }
        return all;
    }

    private JobFile read(byte[] file) {
        try {
            return JobFileReader.read(file, profiles);
        } catch (FileRejected e) {
            String where = e.place().isEmpty() ? "" : " At " + e.place() + ":";
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-file",
                    Words.say("refused.file", Map.of("where", where, "why", e.getMessage())),
                    Map.of("place", e.place()));
        }
    }
}
