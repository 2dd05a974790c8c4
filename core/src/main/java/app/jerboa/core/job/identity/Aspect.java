package app.jerboa.core.job.identity;

/** Where a camera's number stands, and what it costs to change it there. */
public enum Aspect {
    /** Reprint a label. */
    LABEL(1),
    /** Change an ID in a menu. */
    ID(2),
    /** Remap a key. */
    KEY(1),
    /** Remap a key of the paint panel. */
    PAINT_KEY(1),
    /** Move a lead at the switcher. */
    INPUT(3),
    /** It follows the input by itself once nothing else is noted. */
    TALLY(0),
    /** Set another address. */
    ADDRESS(4);

    private final int cost;

    Aspect(int cost) {
        this.cost = cost;
    }

    public int cost() {
        return cost;
    }
}
