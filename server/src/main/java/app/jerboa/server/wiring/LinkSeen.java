package app.jerboa.server.wiring;

import app.jerboa.core.job.cabling.seen.SeenRun;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.server.words.Words;
import java.util.Map;

/**
 * What the network switches tell of one device's lead, as the test of its link.
 *
 * @param port that hears it; blank where none does
 * @param detail one sentence
 */
public record LinkSeen(Outcome outcome, String port, String detail) {
    public static LinkSeen of(SeenRun run) {
        String seen = run.seen().map(SeenRun.Place::port).orElse("");
        Map<String, String> facts =
                Map.of("port", seen, "planned", run.planned().map(SeenRun.Place::port).orElse(""));
        return switch (run.verdict()) {
            case AS_PLANNED -> new LinkSeen(Outcome.OK, seen, Words.say("prove.did.link", facts));
            case ELSEWHERE, UNPLANNED ->
                    new LinkSeen(Outcome.DIFFERS, seen, Words.say("prove.did.link", facts));
            case NOT_HEARD -> new LinkSeen(Outcome.FAILED, "", Words.say("prove.not-heard", facts));
            case NO_MAC -> new LinkSeen(Outcome.CANNOT_TELL, "", Words.say("prove.no-mac"));
        };
    }
}
