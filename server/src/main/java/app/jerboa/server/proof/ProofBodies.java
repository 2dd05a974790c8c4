package app.jerboa.server.proof;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Proof;
import app.jerboa.core.job.proof.Standing;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.ObservationRow;
import app.jerboa.server.words.Words;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Observations and standings as JSON. */
final class ProofBodies {
    private static final TypeReference<Map<String, String>> TEXTS = new TypeReference<>() {};

    private ProofBodies() {}

    /**
     * One observation.
     *
     * @param line the line its device belonged to then
     * @param device its name as it is now; blank when it is gone
     * @param what the topic, for example {@code moves}
     * @param evidence asked, seen or told
     * @param outcome of a test: ok, differs, failed or cannot-tell
     * @param person who looked, or who had it asked
     * @param detail by which exchange, or in whose words
     * @param basis the planned facts it rests on, as they were
     */
    record ObservationBody(
            long number,
            Optional<Long> line,
            long deviceId,
            String device,
            String what,
            String value,
            String evidence,
            Optional<String> outcome,
            String person,
            String detail,
            OffsetDateTime at,
            Map<String, String> basis,
            Optional<Long> photo) {
        static ObservationBody of(ObservationRow r, Jobs.Stored stored, JsonMapper json) {
            return new ObservationBody(
                    r.number(),
                    Optional.ofNullable(r.lineId()),
                    r.deviceId(),
                    name(stored.job(), r.deviceId()),
                    r.topic(),
                    r.value(),
                    r.evidence(),
                    Optional.ofNullable(r.outcome()),
                    r.person(),
                    r.detail(),
                    r.at().withOffsetSameInstant(ZoneOffset.UTC),
                    json.readValue(r.basis(), TEXTS),
                    Optional.ofNullable(r.photoId()));
        }

        private static String name(Job job, long device) {
            return job.devices().stream()
                    .filter(d -> d.id().value() == device)
                    .map(d -> d.name())
                    .findFirst()
                    .orElse("");
        }
    }

    /**
     * @param more there are older ones
     */
    record Page(List<ObservationBody> observations, boolean more) {}

    /**
     * How one test of one line stands.
     *
     * @param line its id
     * @param standing one word, for example {@code asked} or {@code stale}
     * @param since when what decides was observed
     * @param why of a stale one what changed; of one that does not apply the reason; else blank
     * @param value what was found; blank where the standing says all
     */
    record StandingBody(
            long line,
            String name,
            long deviceId,
            String test,
            String standing,
            Optional<OffsetDateTime> since,
            String why,
            String value) {
        static StandingBody of(Job job, Line line, Topic test, Standing standing) {
            Optional<Observation> by = standing.by();
            return new StandingBody(
                    line.id(),
                    job.label(line),
                    line.camera().value(),
                    test.wire(),
                    standing.state().wire(),
                    by.map(o -> o.at().atOffset(ZoneOffset.UTC)),
                    why(standing),
                    by.map(Observation::value).orElse(""));
        }

        private static String why(Standing standing) {
            return switch (standing.state()) {
                case STALE ->
                        Words.say(
                                "stale",
                                Map.of(
                                        "what",
                                        standing.why().stream()
                                                .map(ProofBodies::changed)
                                                .collect(Collectors.joining(", "))));
                case NOT_APPLICABLE -> Words.say("no-test." + standing.why().get(0));
                default -> "";
            };
        }
    }

    /** A fact or a happening by its name. */
    static String changed(String name) {
        return Words.find("stale." + name.replace(' ', '-'), Map.of()).orElse(name);
    }

    static List<StandingBody> standings(Proof proof) {
        Job job = proof.job();
        return job.lines().stream()
                .flatMap(
                        l ->
                                proof.tests(l).entrySet().stream()
                                        .map(
                                                e ->
                                                        StandingBody.of(
                                                                job, l, e.getKey(), e.getValue())))
                .toList();
    }
}
