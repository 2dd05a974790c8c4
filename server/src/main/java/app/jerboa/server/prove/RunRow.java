package app.jerboa.server.prove;

/**
 * A run as it is stored.
 *
 * @param tests a JSON array of device and topic
 * @param state running, done, cancelled or stopped
 * @param live its server gave a sign of life lately
 */
record RunRow(
        String person,
        String tests,
        int done,
        String doing,
        String state,
        String why,
        boolean cancelled,
        boolean live) {}
