package app.jerboa.server.job;

import java.time.OffsetDateTime;

/**
 * One row as it is stored; line, outcome and photo may be null; basis is a JSON object of texts.
 */
public record ObservationRow(
        long number,
        long deviceId,
        Long lineId,
        String topic,
        String value,
        String evidence,
        String outcome,
        String person,
        String detail,
        OffsetDateTime at,
        String basis,
        Long photoId) {}
