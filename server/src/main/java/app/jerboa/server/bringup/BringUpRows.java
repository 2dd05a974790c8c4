package app.jerboa.server.bringup;

import java.time.OffsetDateTime;

/** Rows of the bring-up tables. */
final class BringUpRows {
    private BringUpRows() {}

    record RunRow(long id, String method, String person, OffsetDateTime startedAt) {}

    /** Device 0 for none; doneAt and bootOverAt null while there is none. */
    record StepRow(
            int number,
            String kind,
            long deviceId,
            String laptop,
            OffsetDateTime doneAt,
            String evidence,
            String saw,
            OffsetDateTime bootOverAt) {
        boolean done() {
            return doneAt != null;
        }
    }
}
