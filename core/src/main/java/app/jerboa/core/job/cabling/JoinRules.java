package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Run;
import app.jerboa.core.job.text.ItemRejected;
import app.jerboa.core.value.TextRejected;
import java.util.EnumSet;
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

    /** In words that name both sockets. */
    public static String reason(Run run, Refusal why) {
        String both = run.from().port() + " and " + run.to().port();
        return switch (why) {
            case NO_PORT -> "there is no such socket on one of the two: " + both;
            case SELF -> "a socket cannot be joined with itself";
            case CONSOLE -> "a console port is for a technician's lead, never for the network";
            case SERIAL_INTO_NETWORK ->
                    "a serial lead never goes into a network port, which may have power on it";
            case SERIAL_DIRECTION -> "a chain goes from OUT to IN: " + both + " face the same way";
            case DIRECTION -> both + " both give, or both take";
            case KIND -> both + " are sockets of different kinds";
            case CABLE -> run.cable() + " does not carry what " + both + " need";
            case TWICE -> "another run is in one of these sockets already: " + both;
        };
    }
}
