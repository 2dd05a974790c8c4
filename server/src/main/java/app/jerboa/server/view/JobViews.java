package app.jerboa.server.view;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.check.JobFindings;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.server.change.Commands;
import app.jerboa.server.findings.Checks;
import app.jerboa.server.findings.FindingBody;
import app.jerboa.server.findings.FindingWords;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Turns a stored job into what its pages show, and a change into what they need to follow it. */
@Service
public class JobViews {
    /** Findings of one job in words. */
    private record Worded(List<FindingBody> findings) {}

    /** A job at one version with so much observed is one object while it is held. */
    private final Cache<Jobs.Stored, ShownJob> shown = Caffeine.newBuilder().weakKeys().build();

    /** Of each job what was shown last, for as long as that version is held. */
    private final Cache<Long, ShownJob> newest = Caffeine.newBuilder().weakValues().build();

    private final Cache<Jobs.Stored, JobJson> bytes = Caffeine.newBuilder().weakKeys().build();
    private final Jobs jobs;
    private final ViewMapper mapper;
    private final FindingWords words;
    private final JsonMapper json;

    JobViews(Jobs jobs, ViewMapper mapper, FindingWords words, JsonMapper json) {
        this.jobs = jobs;
        this.mapper = mapper;
        this.words = words;
        this.json = json;
    }

    public JobView view(long id, Author person) {
        BesideRow beside = beside(id, person);
        Jobs.Stored stored = jobs.at(id, beside.version(), beside.observed());
        return view(stored, beside);
    }

    private BesideRow beside(long id, Author person) {
        return mapper.beside(id, person.id()).orElseThrow(() -> Problem.notFound("job"));
    }

    private JobView view(Jobs.Stored stored, BesideRow beside) {
        JobParts parts = parts(stored);
        return new JobView(
                stored.id(),
                stored.version(),
                stored.observed(),
                beside.role(),
                beside.undo(),
                beside.redo(),
                log(beside),
                parts.name(),
                parts.site(),
                parts.subnet(),
                parts.subnets(),
                parts.ranges(),
                parts.devices(),
                parts.lines(),
                parts.runs(),
                parts.ownProfiles(),
                parts.findings());
    }

    private static JobView.LogBody log(BesideRow beside) {
        return new JobView.LogBody(beside.lastAt(), beside.lastPerson(), beside.lastText());
    }

    /** What a change did, for a page that shows the job as it was before. */
    public JobPatch patch(Commands.Done done, Author person) {
        BesideRow beside = beside(done.after().id(), person);
        return patch(done.before(), view(done.after(), beside));
    }

    /** The present state as a patch that changes nothing: to be compared with what a page shows. */
    JobPatch present(long job, Author person) {
        BesideRow beside = beside(job, person);
        Jobs.Stored stored = jobs.at(job, beside.version(), beside.observed());
        return patch(stored, view(stored, beside));
    }

    private JobPatch patch(Jobs.Stored before, JobView now) {
        return JobPatch.between(before.version(), before.observed(), parts(before), now);
    }

    /**
     * What has changed since a version, and since so much of it was observed.
     *
     * @throws Problem gone when this server does not hold that version
     */
    JobPatch patch(long job, long since, long observed, Author person) {
        Jobs.Stored before =
                jobs.earlier(job, since, observed)
                        .orElseThrow(
                                () ->
                                        new Problem(
                                                HttpStatus.GONE,
                                                "too-far-behind",
                                                Words.say("refused.too-far-behind")));
        return patch(before, view(job, person));
    }

    /**
     * The view of a job, put together from what everybody sees, which is written once for each
     * version, and the little that is this person's own. Not sent again to whoever has it.
     */
    ResponseEntity<byte[]> answer(long job, Author person) {
        BesideRow beside = beside(job, person);
        Jobs.Stored stored = jobs.at(job, beside.version(), beside.observed());
        Map<String, Object> own = new HashMap<>();
        own.put("id", stored.id());
        own.put("version", stored.version());
        own.put("observed", stored.observed());
        own.put("role", beside.role());
        own.put("undo", beside.undo());
        own.put("redo", beside.redo());
        own.put("lastLog", log(beside));
        return ResponseEntity.ok()
                .eTag(
                        stored.version()
                                + "-"
                                + stored.observed()
                                + "-"
                                + Integer.toHexString(own.hashCode()))
                .contentType(MediaType.APPLICATION_JSON)
                .body(shared(stored).behind(json.writeValueAsBytes(own)));
    }

    private JobJson shared(Jobs.Stored stored) {
        return bytes.get(stored, s -> new JobJson(json.writeValueAsBytes(parts(s))));
    }

    private JobParts parts(Jobs.Stored stored) {
        return shown.get(stored, this::show).parts();
    }

    private ShownJob show(Jobs.Stored stored) {
        Optional<ShownJob> before = Optional.ofNullable(newest.getIfPresent(stored.id()));
        ShownJob now = ShownJob.of(stored.proof(), before, words);
        newest.put(stored.id(), now);
        return now;
    }

    /** Those of the plan, and those of what was seen beside it. */
    public List<FindingBody> findings(Proof proof) {
        return worded(proof.job(), Checks.of(proof));
    }

    /** Those of the plan alone. */
    public List<FindingBody> findings(Job job) {
        return job.worked(Worded.class, () -> new Worded(worded(job, Checks.of(job)))).findings();
    }

    private List<FindingBody> worded(Job job, List<JobFindings.Judged> found) {
        ItemNames names = new ItemNames(job);
        return found.stream().map(j -> words.words(j.finding(), names).body(j.waiver())).toList();
    }
}
