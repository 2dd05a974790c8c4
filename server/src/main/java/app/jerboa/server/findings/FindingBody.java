package app.jerboa.server.findings;

import app.jerboa.server.change.ChangesBody;
import java.util.List;
import java.util.Optional;

/**
 * A finding for a screen.
 *
 * @param key the same finding before and after an edit has the same key
 * @param discipline what it is about, for example addresses
 * @param severity stop, warn or note
 * @param what one sentence: what is so
 * @param why one sentence: why it matters
 * @param source the rule it follows
 * @param field the field of the devices that shows it
 * @param waiver who accepted it and why, if anybody did
 */
public record FindingBody(
        String key,
        String code,
        String discipline,
        String severity,
        String what,
        String why,
        String source,
        List<Long> deviceIds,
        String field,
        List<FixBody> fixes,
        Optional<WaiverBody> waiver) {

    /** A change set offered, in words and as values to send back. */
    public record FixBody(String label, ChangesBody changes) {}

    /** Who accepted a finding, and why. */
    public record WaiverBody(long id, String person, String reason) {}

    FindingBody with(Optional<WaiverBody> accepted) {
        return new FindingBody(
                key,
                code,
                discipline,
                severity,
                what,
                why,
                source,
                deviceIds,
                field,
                fixes,
                accepted);
    }

    /** It stands against the plan: a stop that nobody accepted. */
    public boolean stops() {
        return severity.equals("stop") && waiver.isEmpty();
    }
}
