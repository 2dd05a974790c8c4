package app.jerboa.server.wiring;

import app.jerboa.core.job.Job;
import app.jerboa.core.job.cabling.seen.SeenRun;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.server.words.Words;
import java.util.Map;

/**
 * What the network switches tell of one device's lead, as the test of its link.
 *
 * @param port that hears it, with its network switch, and behind a comma the speed of a link that
 *     is slower than a sound lead makes it; blank where none hears it
 * @param detail one sentence
 */
public record LinkSeen(Outcome outcome, String port, String detail) {
    public static LinkSeen of(Job job, SeenRun run) {
        String seen = run.seen().map(p -> p.words(job)).orElse("");
        Map<String, String> facts =
                Map.of("port", seen, "planned", run.planned().map(p -> p.words(job)).orElse(""));
        return switch (run.verdict()) {
            case AS_PLANNED -> asPlanned(run, seen, facts);
            case ELSEWHERE ->
                    new LinkSeen(Outcome.DIFFERS, seen, Words.say("prove.did.link", facts));
            case UNPLANNED ->
                    new LinkSeen(Outcome.DIFFERS, seen, Words.say("prove.link-unplanned", facts));
            case NOT_HEARD -> new LinkSeen(Outcome.FAILED, "", Words.say("prove.not-heard", facts));
            case NO_MAC -> new LinkSeen(Outcome.CANNOT_TELL, "", Words.say("prove.no-mac"));
        };
    }

    private static LinkSeen asPlanned(SeenRun run, String seen, Map<String, String> facts) {
        return run.remark() == SeenRun.Remark.SLOW
                ? new LinkSeen(
                        Outcome.DIFFERS,
                        seen + ", " + PortWords.speed(run.told()),
                        Words.say("wiring.odd.slow"))
                : new LinkSeen(Outcome.OK, seen, Words.say("prove.did.link", facts));
    }
}
