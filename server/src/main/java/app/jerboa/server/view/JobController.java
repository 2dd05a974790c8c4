package app.jerboa.server.view;

import app.jerboa.core.item.Item;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import app.jerboa.server.job.EmptyJob;
import app.jerboa.server.job.JobLibrary;
import app.jerboa.server.job.JobSummaryRow;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs as wholes. */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    /**
     * A job in the list, with how many of its lines are how far.
     *
     * @param siteId the item that has its name
     * @param role of the reader in it
     * @param lastAt when its logbook was last written into
     */
    record JobSummary(
            long id,
            long siteId,
            String name,
            String cidr,
            String role,
            boolean archived,
            boolean deleted,
            int lines,
            int planned,
            int set,
            int differs,
            OffsetDateTime lastAt) {
        static JobSummary of(JobSummaryRow r) {
            return new JobSummary(
                    r.id(),
                    r.siteId(),
                    r.name(),
                    r.cidr(),
                    r.role(),
                    r.archived(),
                    r.deleted(),
                    r.lines(),
                    r.planned(),
                    r.set(),
                    r.differs(),
                    r.lastAt().withOffsetSameInstant(ZoneOffset.UTC));
        }
    }

    /** A new job's name, units (m or ft), house network and gateway. */
    record NewJob(String name, String units, String cidr, String gateway) {}

    record Archived(boolean archived) {}

    private final JobLibrary library;
    private final Jobs jobs;
    private final JobViews views;

    JobController(JobLibrary library, Jobs jobs, JobViews views) {
        this.library = library;
        this.jobs = jobs;
        this.views = views;
    }

    /** Deleted ones only for their leads, who can fetch them back. */
    @GetMapping
    List<JobSummary> list(@Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return library.of(person).stream().map(JobSummary::of).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    JobView create(
            @RequestBody NewJob body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Ipv4Subnet subnet = at("cidr", () -> Ipv4Subnet.parse(body.cidr()));
        Ipv4 gateway = at("gateway", () -> Ipv4.parse(body.gateway()));
        if (!subnet.isHost(gateway)) {
            throw refused(
                    "gateway",
                    new TextRejected(
                            body.gateway(), 0, Reason.of("text.not-of-subnet", "subnet", subnet)));
        }
        List<Item> items = EmptyJob.items(body.name().strip(), body.units(), subnet, gateway);
        try {
            jobs.editor().read(items);
        } catch (ItemRejected e) {
            throw refused(e.field().wire(), e.text());
        }
        return views.view(library.make(items, Words.say("logged.job-made"), person), person);
    }

    private static <T> T at(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (TextRejected e) {
            throw refused(field, e);
        }
    }

    private static Problem refused(String field, TextRejected e) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "text-rejected",
                Words.say("refused.job", Map.of("text", e.input(), "why", Words.say(e.reason()))),
                Map.of("field", field, "index", e.index()));
    }

    /** Not sent again to a page that has it. */
    @GetMapping("/{job}")
    @ApiResponse(
            responseCode = "200",
            content = @Content(schema = @Schema(implementation = JobView.class)))
    ResponseEntity<byte[]> one(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.answer(job, person);
    }

    /** What has changed since a page read the job. */
    @GetMapping("/{job}/patch")
    JobPatch patch(
            @PathVariable("job") long job,
            @RequestParam("since") long since,
            @RequestParam(value = "observed", defaultValue = "0") long observed,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.patch(job, since, observed, person);
    }

    @PostMapping("/{job}/duplicate")
    @ResponseStatus(HttpStatus.CREATED)
    @Needs(Right.READ)
    JobView duplicate(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        return views.view(library.duplicate(job, person), person);
    }

    @PutMapping("/{job}/archived")
    @Needs(Right.MANAGE)
    void archive(
            @PathVariable("job") long job,
            @RequestBody Archived body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        library.archive(job, body.archived(), person);
    }

    @DeleteMapping("/{job}")
    @Needs(Right.MANAGE)
    void delete(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        library.delete(job, person);
    }

    @PostMapping("/{job}/restore")
    @Needs(value = Right.MANAGE, ofDeleted = true)
    void restore(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        library.restore(job, person);
    }
}
