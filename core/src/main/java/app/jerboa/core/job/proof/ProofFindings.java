package app.jerboa.core.job.proof;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.text.JobItems;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What was found otherwise than planned, and what must be proved again. */
public final class ProofFindings {
    /** The fact by which the words differ. */
    private static final String WORDED = "what";

    private ProofFindings() {}

    public static List<Finding> of(Proof proof) {
        List<Finding> found = new ArrayList<>();
        if (proof.observed().nothing()) {
            return found;
        }
        for (Device d : proof.job().devices()) {
            Map<Topic, Standing> known = proof.known(d.id());
            if (known.isEmpty()) {
                continue;
            }
            boolean fought = differs(known, Topic.ALONE);
            known.forEach(
                    (topic, standing) -> {
                        // Which of two answers is whose is known only when one is isolated.
                        boolean said = fought && topic == Topic.ADDRESS;
                        if (standing.state() == Standing.State.DIFFERS && !said) {
                            Observation by = standing.by().orElseThrow();
                            found.add(differs(proof.job(), d, topic, by));
                        }
                    });
            List<Topic> stale =
                    known.entrySet().stream()
                            .filter(e -> e.getValue().state() == Standing.State.STALE)
                            .map(Map.Entry::getKey)
                            .toList();
            if (!stale.isEmpty()) {
                found.add(stale(d, stale, known.get(stale.get(0)).why()));
            }
        }
        return found;
    }

    private static boolean differs(Map<Topic, Standing> known, Topic topic) {
        return Optional.ofNullable(known.get(topic))
                .filter(s -> s.state() == Standing.State.DIFFERS)
                .isPresent();
    }

    private static Finding differs(Job job, Device d, Topic topic, Observation o) {
        return switch (topic) {
            case ALONE -> second(d, o);
            case LINK -> FoundLead.of(job, d, o.value()).finding();
            case STREAM -> stream(job, d, o);
            case CERTIFICATE -> certificate(d, o);
            default -> other(d, topic, o);
        };
    }

    /** What has no finding of its own. */
    private static Finding other(Device d, Topic topic, Observation o) {
        Field field = AsFound.field(topic).orElse(Field.NAME);
        boolean follows = AsFound.field(topic).isPresent() && !o.value().isBlank();
        String planned = follows ? JobItems.text(d, field) : "";
        Finding finding =
                Finding.of(
                        ProofCodes.DIFFERS,
                        d.id(),
                        field,
                        Map.of(
                                Finding.AT,
                                topic.wire(),
                                "device",
                                d.name(),
                                "found",
                                o.value(),
                                "planned",
                                planned.isEmpty() ? "none" : planned,
                                WORDED,
                                follows ? "" : o.value().isBlank() ? "unsaid" : "plain"));
        return follows && !planned.equals(o.value())
                ? finding.withFixes(
                        List.of(
                                Fix.editing(
                                        "take-over",
                                        List.of(new Edit(d.ref(), field, planned, o.value())))))
                : finding;
    }

    /** Two devices answer at one address; whichever is driven, the wrong one may move. */
    private static Finding second(Device d, Observation o) {
        return Finding.of(
                ProofCodes.SECOND,
                d.id(),
                Field.ADDRESS,
                Map.of(
                        "device",
                        d.name(),
                        "address",
                        JobItems.text(d, Field.ADDRESS),
                        "macs",
                        o.value(),
                        WORDED,
                        o.value().isBlank() ? "unsaid" : ""));
    }

    /** What it tells beside what its profile and its format say. */
    private static Finding stream(Job job, Device d, Observation o) {
        return Finding.of(
                ProofCodes.STREAM,
                d.id(),
                Field.FORMAT_SET,
                Map.of(
                        "device",
                        d.name(),
                        "found",
                        o.value(),
                        "planned",
                        PlannedFact.of(job, d, Topic.STREAM),
                        WORDED,
                        o.value().isBlank() ? "unsaid" : ""));
    }

    /** Whoever answers there now may not be the device. */
    private static Finding certificate(Device d, Observation o) {
        return Finding.of(
                ProofCodes.CERTIFICATE,
                d.id(),
                Field.ADDRESS,
                Map.of("device", d.name(), "found", o.value()));
    }

    private static Finding stale(Device d, List<Topic> topics, List<String> why) {
        return Finding.of(
                ProofCodes.STALE,
                d.id(),
                Field.NAME,
                Map.of(
                        "device",
                        d.name(),
                        "tests",
                        topics.stream().map(Topic::wire).collect(Collectors.joining(", ")),
                        "why",
                        String.join(", ", why),
                        WORDED,
                        why.stream()
                                .flatMap(w -> Happening.fromWire(w).stream())
                                .map(Happening::wire)
                                .findFirst()
                                .orElse("")));
    }
}
