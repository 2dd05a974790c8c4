package app.jerboa.server.job;

import java.time.OffsetDateTime;

/** Rows of the job tables as they are stored. */
final class Rows {
    private Rows() {}

    record JobRow(long id, long version, long nextItem) {}

    /** One item; its fields as a JSON object of texts. */
    record ItemRow(long id, String kind, String texts) {}

    /** One item with the version of its job. */
    record WholeRow(long version, long nextItem, long id, String kind, String texts) {
        ItemRow item() {
            return new ItemRow(id, kind, texts);
        }
    }

    /** What one person sees beside the job itself; empty labels where there is nothing. */
    record BesideRow(
            long version,
            String role,
            String undo,
            String redo,
            OffsetDateTime lastAt,
            String lastPerson,
            String lastText) {}

    record CommandRow(long id, OffsetDateTime at, String person, String label, String changes) {}

    record SummaryRow(
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
}
