package app.jerboa.server.job;

import java.time.OffsetDateTime;

/** One job in the list of somebody's jobs, with how many lines are planned, set or differ. */
public record JobSummaryRow(
        long id,
        long siteId,
        String name,
        String cidr,
        String role,
        boolean archived,
        boolean deleted,
        int lines,
        int planned,
        int set,
        int differs,
        OffsetDateTime lastAt) {}
