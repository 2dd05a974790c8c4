package app.jerboa.server.people;

import java.time.OffsetDateTime;

/** An invitation; open while it can be used. */
record InvitationRow(
        long id,
        long jobId,
        String role,
        String invitedBy,
        OffsetDateTime expiresAt,
        boolean open,
        String jobName) {}
