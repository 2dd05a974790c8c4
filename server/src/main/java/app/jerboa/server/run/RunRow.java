package app.jerboa.server.run;

/**
 * A run as it is stored.
 *
 * @param tasks a JSON array
 * @param count of them
 * @param result a JSON value, by the kind of the run
 * @param state running, done, cancelled or stopped
 * @param live its server gave a sign of life lately
 */
public record RunRow(
        String person,
        String tasks,
        int count,
        String result,
        int done,
        String doing,
        String state,
        String why,
        boolean cancelled,
        boolean live) {

    /** A run whose server is silent was killed with it. */
    public String stateNow() {
        return state.equals("running") && !live ? "stopped" : state;
    }
}
