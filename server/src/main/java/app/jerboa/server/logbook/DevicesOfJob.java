package app.jerboa.server.logbook;

import app.jerboa.server.platform.Problem;

/** What the logbook must know of a job, which itself writes into the logbook. */
public interface DevicesOfJob {
    /**
     * @throws Problem not found for a device of no or another job
     */
    void insist(long job, long device);
}
