package app.jerboa.server.job;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.Cabling;
import app.jerboa.core.job.proof.BasisFacts;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Observation;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Observations between the table and the core; they are only ever added. */
@Component
public class ObservationStore {
    private static final int LONGEST = 1000;

    private static final TypeReference<TreeMap<String, String>> TEXTS = new TypeReference<>() {};

    private final ObservationMapper mapper;
    private final JsonMapper json;

    ObservationStore(ObservationMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
    }

    /**
     * Which observations are asked for; an empty one asks for any.
     *
     * @param before only those with a lower number
     */
    public record Wanted(
            Optional<Long> before,
            Optional<Long> line,
            Optional<Long> device,
            Optional<Topic> topic) {}

    /** Newest first. */
    public List<ObservationRow> page(long job, Wanted wanted, int most) {
        return mapper.page(
                job,
                wanted.before().orElse(null),
                wanted.line().orElse(null),
                wanted.device().orElse(null),
                wanted.topic().map(Topic::wire).orElse(null),
                most);
    }

    /** In the order of their numbers. */
    List<Observation> since(long job, long number) {
        return mapper.since(job, number).stream().flatMap(r -> read(r).stream()).toList();
    }

    /** Empty for a topic that a newer version of the program wrote. */
    private Optional<Observation> read(ObservationRow r) {
        return Topic.fromWire(r.topic())
                .map(
                        topic ->
                                new Observation(
                                        r.number(),
                                        new DeviceId(r.deviceId()),
                                        topic,
                                        r.value(),
                                        Evidence.fromWire(r.evidence()).orElseThrow(),
                                        Optional.ofNullable(r.outcome()).flatMap(Outcome::fromWire),
                                        r.at().toInstant(),
                                        json.readValue(r.basis(), TEXTS)));
    }

    /** The highest number then. */
    long add(Jobs.Stored stored, List<NewObservation> seen, String person) {
        long last = mapper.raise(stored.id(), seen.size());
        OffsetDateTime now = OffsetDateTime.now(ZoneOffset.UTC);
        List<ObservationRow> rows = new ArrayList<>();
        for (NewObservation o : seen) {
            rows.add(row(last - seen.size() + rows.size() + 1, o, stored.job(), person, now));
        }
        mapper.insert(stored.id(), rows);
        return last;
    }

    private ObservationRow row(
            long number, NewObservation o, Job job, String person, OffsetDateTime now) {
        return new ObservationRow(
                number,
                o.device().value(),
                Cabling.of(job).line(o.device()).map(Line::id).orElse(null),
                o.topic().wire(),
                bounded(o.value()),
                o.evidence().wire(),
                o.outcome().map(Outcome::wire).orElse(null),
                person,
                bounded(o.detail()),
                now,
                json.writeValueAsString(BasisFacts.of(job).of(o.device(), o.topic())),
                o.photo().orElse(null));
    }

    private static String bounded(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
    }
}
