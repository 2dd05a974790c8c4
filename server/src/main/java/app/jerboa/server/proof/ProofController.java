package app.jerboa.server.proof;

import app.jerboa.core.job.Line;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Happening;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.TextRules;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import app.jerboa.server.job.ObservationRow;
import app.jerboa.server.job.ObservationStore;
import app.jerboa.server.logbook.Logbook;
import app.jerboa.server.platform.Author;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.words.Words;
import io.swagger.v3.oas.annotations.Parameter;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.json.JsonMapper;

/** What was observed of a job, how its tests stand, and what people saw. */
@RestController
@RequestMapping("/api/jobs/{job}")
class ProofController {
    private static final int MOST = 200;
    private static final int LONGEST = 300;

    /**
     * Something was done to a device, or happened to it.
     *
     * @param what swap, reset, update or knock
     */
    record HappeningBody(long deviceId, String what, String note) {}

    private final Jobs jobs;
    private final ObservationStore store;
    private final Observations observations;
    private final Logbook log;
    private final JsonMapper json;

    ProofController(
            Jobs jobs,
            ObservationStore store,
            Observations observations,
            Logbook log,
            JsonMapper json) {
        this.jobs = jobs;
        this.store = store;
        this.observations = observations;
        this.log = log;
        this.json = json;
    }

    /**
     * Newest first.
     *
     * @param line a line's id, or its name as people say it; empty for any
     * @param what a topic; empty for any
     * @param before only with lower numbers; 0 for from the newest
     */
    @GetMapping("/observations")
    ProofBodies.Page observations(
            @PathVariable("job") long job,
            @RequestParam(value = "line", defaultValue = "") String line,
            @RequestParam(value = "device", defaultValue = "0") long device,
            @RequestParam(value = "what", defaultValue = "") String what,
            @RequestParam(value = "before", defaultValue = "0") long before,
            @RequestParam(value = "limit", defaultValue = "50") int limit) {
        int most = Math.max(1, Math.min(MOST, limit));
        Jobs.Stored stored = jobs.load(job);
        ObservationStore.Wanted wanted =
                new ObservationStore.Wanted(
                        positive(before),
                        line.isEmpty() ? Optional.empty() : Optional.of(line(stored, line)),
                        positive(device),
                        what.isEmpty() ? Optional.empty() : Optional.of(topic(what)));
        List<ObservationRow> rows = store.page(job, wanted, most + 1);
        return new ProofBodies.Page(
                rows.stream()
                        .limit(most)
                        .map(r -> ProofBodies.ObservationBody.of(r, stored, json))
                        .toList(),
                rows.size() > most);
    }

    private static Optional<Long> positive(long number) {
        return number > 0 ? Optional.of(number) : Optional.empty();
    }

    private static long line(Jobs.Stored stored, String text) {
        OptionalLong named =
                stored.job().lines().stream()
                        .filter(
                                l ->
                                        Long.toString(l.id()).equals(text)
                                                || stored.job().label(l).equals(text))
                        .mapToLong(Line::id)
                        .findFirst();
        return named.orElseThrow(() -> Problem.notFound("line"));
    }

    private static Topic topic(String word) {
        return Topic.fromWire(word)
                .orElseThrow(
                        () -> bad("what", Words.say("refused.no-topic", Map.of("what", word))));
    }

    /** Every test of every line, in their order. */
    @GetMapping("/standings")
    List<ProofBodies.StandingBody> standings(@PathVariable("job") long job) {
        return ProofBodies.standings(jobs.load(job).proof());
    }

    /**
     * A person looked (seen), or takes it as done (told).
     *
     * @param outcome ok, differs, failed or cannot-tell
     */
    @PostMapping(value = "/observations", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Needs(Right.PLAN)
    void see(
            @PathVariable("job") long job,
            @RequestParam("device") long device,
            @RequestParam("what") String what,
            @RequestParam("outcome") String outcome,
            @RequestParam(value = "evidence", defaultValue = "seen") String evidence,
            @RequestParam(value = "value", defaultValue = "") String value,
            @RequestParam(value = "note", defaultValue = "") String note,
            @RequestPart(value = "photo", required = false) MultipartFile photo,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person)
            throws IOException {
        Jobs.Stored stored = jobs.load(job);
        String name = stored.need(device).name();
        Topic topic = topic(what);
        if (topic == Topic.HAPPENING) {
            throw bad("what", Words.say("refused.topic-happened"));
        }
        Evidence known =
                Evidence.fromWire(evidence)
                        .filter(e -> e != Evidence.ASKED)
                        .orElseThrow(() -> bad("evidence", Words.say("refused.topic-basis")));
        Outcome came =
                Outcome.fromWire(outcome)
                        .orElseThrow(() -> bad("outcome", Words.say("refused.topic-verdict")));
        String found = text("value", value);
        String said = text("note", note);
        // All that can be refused is: a picture without its observation would be seen by nobody.
        Optional<Long> picture =
                photo == null || photo.isEmpty()
                        ? Optional.empty()
                        : Optional.of(log.photo(job, photo.getBytes()));
        NewObservation seen =
                new NewObservation(
                        new DeviceId(device),
                        topic,
                        found,
                        known,
                        Optional.of(came),
                        said,
                        picture);
        observations.add(
                job,
                List.of(seen),
                Words.say(
                        "observed." + came.wire(),
                        Map.of(
                                "device", name,
                                "what", Words.say("test." + topic.wire()),
                                "how", known.wire(),
                                "value", found,
                                "note", said)),
                person);
    }

    /** After it nothing that was known of the device holds. */
    @PostMapping("/happenings")
    @ResponseStatus(HttpStatus.CREATED)
    @Needs(Right.PLAN)
    void happened(
            @PathVariable("job") long job,
            @RequestBody HappeningBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Author person) {
        Happening what =
                Happening.fromWire(body.what())
                        .orElseThrow(() -> bad("what", Words.say("refused.happened")));
        String name = jobs.load(job).need(body.deviceId()).name();
        String note = text("note", body.note() == null ? "" : body.note());
        NewObservation happened =
                new NewObservation(
                        new DeviceId(body.deviceId()),
                        Topic.HAPPENING,
                        what.wire(),
                        Evidence.SEEN,
                        Optional.empty(),
                        note,
                        Optional.empty());
        observations.add(
                job,
                List.of(happened),
                Words.say("happened." + what.wire(), Map.of("device", name, "note", note)),
                person);
    }

    private static String text(String field, String text) {
        String words = text.strip();
        if (words.length() > LONGEST || !TextRules.storable(words)) {
            throw bad(field, Words.say("refused.observed-text", Map.of("most", LONGEST)));
        }
        return words;
    }

    private static Problem bad(String field, String sentence) {
        return new Problem(
                HttpStatus.BAD_REQUEST,
                "bad-value",
                Words.say("refused.unstored", Map.of("why", sentence)),
                Map.of("field", field));
    }
}
