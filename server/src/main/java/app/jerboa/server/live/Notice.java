package app.jerboa.server.live;

/**
 * Something that every server process is told.
 *
 * @param kind changed, presence or stop-all
 * @param version of the job after a change, 0 when its version did not change; for stop-all how
 *     often all was stopped
 * @param part of a job that changed: plan, log, people, steps, hall, proof, world, desk, drivers or
 *     knobs; empty for any
 */
public record Notice(long job, String kind, long version, String part) {
    public static final String CHANGED = "changed";
    public static final String PRESENCE = "presence";
    public static final String STOP_ALL = "stop-all";

    public static final String PLAN = "plan";
    public static final String LOG = "log";
    public static final String PEOPLE = "people";
    public static final String STEPS = "steps";
    public static final String HALL = "hall";

    /** What was seen of it. */
    public static final String PROOF = "proof";

    /** Where its commands go. */
    public static final String WORLD = "world";

    /** What is said before heads move. */
    public static final String DESK = "desk";

    /** A camera said unasked what its knobs stand at. */
    public static final String KNOBS = "knobs";

    /** Who drives which camera. */
    public static final String DRIVERS = "drivers";
}
