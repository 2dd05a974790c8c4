package app.jerboa.server.live;

/**
 * Something that every server process is told.
 *
 * @param kind changed, presence or stop-all
 * @param version of the job after a change, 0 when its version did not change; for stop-all how
 *     often all was stopped
 */
public record Notice(long job, String kind, long version) {
    public static final String CHANGED = "changed";
    public static final String PRESENCE = "presence";
    public static final String STOP_ALL = "stop-all";
}
