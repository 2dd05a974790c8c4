package app.jerboa.server.view;

import java.time.OffsetDateTime;

/** What one person sees beside the job itself; empty labels where there is nothing. */
record BesideRow(
        long version,
        long observed,
        String role,
        String undo,
        String redo,
        OffsetDateTime lastAt,
        String lastPerson,
        String lastText) {}
