package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.value.Kebab;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A run that somebody draws or changes must be possible; what was stored before may be a finding.
 */
public final class JoinRules {
    private static final Set<Field> JOINING =
            EnumSet.of(Field.RUN_FROM, Field.FROM_PORT, Field.RUN_TO, Field.TO_PORT, Field.CABLE);

    private JoinRules() {}

    /**
     * @param job as it is after the change
     * @throws ItemRejected for the first run whose ends or cable were touched and that cannot be
     */
    public static void check(Job job, ChangeSet changes) {
        Set<ItemRef> touched =
                Stream.concat(
                                changes.adds().stream().map(i -> i.ref()),
                                changes.edits().stream()
                                        .filter(e -> JOINING.contains(e.field()))
                                        .map(e -> e.item()))
                        .filter(r -> r.kind() == ItemKind.RUN)
                        .collect(Collectors.toSet());
        if (touched.isEmpty()) {
            return;
        }
        Set<String> sockets =
                job.runs().stream()
                        .filter(r -> touched.contains(r.ref()))
                        .flatMap(JoinRules::sockets)
                        .collect(Collectors.toSet());
        Cabling.of(job)
                .refused()
                .forEach(
                        (run, why) -> {
                            boolean crowded =
                                    why == Refusal.TWICE
                                            && sockets(run).anyMatch(sockets::contains);
                            if (touched.contains(run.ref()) || crowded) {
                                throw refused(run, why);
                            }
                        });
    }

    private static Stream<String> sockets(Run run) {
        return Stream.of(run.from(), run.to()).map(e -> e.device() + " " + e.port());
    }

    private static ItemRejected refused(Run run, Refusal why) {
        Field field = why == Refusal.CABLE ? Field.CABLE : Field.TO_PORT;
        String text = why == Refusal.CABLE ? run.cable().toString() : run.to().port();
        return new ItemRejected(run.ref(), field, new TextRejected(text, 0, reason(run, why)));
    }

    /** It names both sockets. */
    public static Reason reason(Run run, Refusal why) {
        return new Reason(
                "joined." + Kebab.of(why),
                Map.of(
                        "one", run.from().port(),
                        "other", run.to().port(),
                        "cable", run.cable().toString()));
    }
}
