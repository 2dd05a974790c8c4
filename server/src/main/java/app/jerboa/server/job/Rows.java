package app.jerboa.server.job;

/** Rows of the job tables as they are stored. */
public final class Rows {
    private Rows() {}

    /**
     * @param observed the number of its newest observation, 0 before there is one
     */
    record JobRow(long id, long version, long nextItem, long observed) {}

    /** One item; its fields as a JSON object of texts. */
    record ItemRow(long id, String kind, String texts) {}

    /** One item with the version of its job. */
    record WholeRow(long version, long nextItem, long id, String kind, String texts) {
        ItemRow item() {
            return new ItemRow(id, kind, texts);
        }
    }
}
