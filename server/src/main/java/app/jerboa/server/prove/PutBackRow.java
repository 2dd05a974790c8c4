package app.jerboa.server.prove;

import java.time.OffsetDateTime;

/**
 * What a test has changed and not put back yet.
 *
 * @param what head, or the name of a knob
 * @param value as it was
 * @param stops how often all was stopped in the job when it was noted
 */
record PutBackRow(
        long jobId,
        long deviceId,
        String what,
        String value,
        String login,
        long stops,
        OffsetDateTime since) {}
