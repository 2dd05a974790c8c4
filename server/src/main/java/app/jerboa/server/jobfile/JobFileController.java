package app.jerboa.server.jobfile;

import app.jerboa.core.job.Job;
import app.jerboa.server.job.JobLibrary;
import app.jerboa.server.job.JobView;
import app.jerboa.server.job.JobViews;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.profile.Profiles;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs out to files and in from files. */
@RestController
class JobFileController {
    private final Jobs jobs;
    private final JobLibrary library;
    private final JobViews views;
    private final Logbook log;
    private final Profiles profiles;
    private final TransactionTemplate transactions;

    JobFileController(
            Jobs jobs,
            JobLibrary library,
            JobViews views,
            Logbook log,
            Profiles profiles,
            TransactionTemplate transactions) {
        this.jobs = jobs;
        this.library = library;
        this.views = views;
        this.log = log;
        this.profiles = profiles;
        this.transactions = transactions;
    }

    @GetMapping(value = "/api/jobs/{job}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> export(@PathVariable("job") long id) {
        Job job = jobs.load(id).job();
        String name = job.name().replaceAll("[^A-Za-z0-9]+", "-") + ".jerboa.json";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(MediaType.APPLICATION_JSON)
                .body(JobFileWriter.write(job, log.forFile(id)));
    }

    /** Makes a new job of the file, or nothing at all. */
    @PostMapping(value = "/api/jobs/file", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    JobView makeFrom(
            @RequestBody byte[] file,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        JobFile read = read(file);
        Long job =
                transactions.execute(
                        t -> {
                            long made = library.make(read.items(), "Job made from a file", person);
                            log.fromFile(made, read.logJson());
                            return made;
                        });
        return views.view(job, person);
    }

    private JobFile read(byte[] file) {
        try {
            return JobFileReader.read(file, profiles);
        } catch (FileRejected e) {
            String where = e.place().isEmpty() ? "" : " At " + e.place() + ":";
            throw new Problem(
                    HttpStatus.BAD_REQUEST,
                    "bad-file",
                    "The file was not taken, and no job was made."
                            + where
                            + " "
                            + e.getMessage()
                            + ".",
                    Map.of("place", e.place()));
        }
    }
}
