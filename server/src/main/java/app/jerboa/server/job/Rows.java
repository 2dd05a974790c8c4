package app.jerboa.server.job;

/** Rows of the job tables as they are stored. */
public final class Rows {
    private Rows() {}

    /**
     * @param observed the number of its newest observation, 0 before there is one
     */
    record JobRow(long id, long version, long nextItem, long observed) {}

    /**
     * A job with all that it has.
     *
     * @param items in the order of their numbers, as {@link ItemTexts#read} takes them
     */
    record WholeRow(long version, long nextItem, String items) {}
}
