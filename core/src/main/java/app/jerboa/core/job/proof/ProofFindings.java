package app.jerboa.core.job.proof;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.text.JobItems;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What was found otherwise than planned, and what must be proved again. */
public final class ProofFindings {
    /** The fields of the plan that can follow what was found. */
    private static final Map<Topic, Field> FIELDS =
            Map.of(
                    Topic.ADDRESS, Field.ADDRESS,
                    Topic.MAC, Field.MAC,
                    Topic.FIRMWARE, Field.FIRMWARE,
                    Topic.FORMAT, Field.FORMAT_SET);

    /** The fact by which the words differ. */
    private static final String WORDED = "what";

    private ProofFindings() {}

    public static List<Finding> of(Proof proof) {
        List<Finding> found = new ArrayList<>();
        for (Device d : proof.job().devices()) {
            Map<Topic, Standing> known = proof.known(d.id());
            known.forEach(
                    (topic, standing) -> {
                        if (standing.state() == Standing.State.DIFFERS) {
                            found.add(differs(d, topic, standing.by().orElseThrow()));
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

    private static Finding differs(Device d, Topic topic, Observation o) {
        Field field = FIELDS.getOrDefault(topic, Field.NAME);
        boolean follows = FIELDS.containsKey(topic) && !o.value().isBlank();
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
