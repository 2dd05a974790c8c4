package app.jerboa.server.logbook;

import java.time.OffsetDateTime;

/**
 * Which lines of a logbook are wanted, newest first.
 *
 * @param device 0 for any
 * @param person empty for any
 * @param kind empty for any
 * @param from null for any time; else up to {@code until}, not included
 * @param before lines older than the one of this number; 0 for from the newest on
 */
record LogFilter(
        long device,
        String person,
        String kind,
        OffsetDateTime from,
        OffsetDateTime until,
        long before,
        int limit) {}
