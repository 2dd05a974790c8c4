package app.jerboa.server.logbook;

import java.time.OffsetDateTime;

/**
 * One line of the logbook as stored.
 *
 * @param devices their numbers, separated by commas
 * @param photoId 0 for none
 */
record LogRow(
        long id,
        OffsetDateTime at,
        String person,
        String kind,
        String text,
        String devices,
        long photoId,
        boolean fromFile) {}
