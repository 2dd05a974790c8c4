package app.jerboa.core.job.cabling;

/** How power comes over a run. */
public enum PowerOver {
    /** IEEE 802.3, from a port that asks first. */
    POE,
    /** Volts on the pairs without asking. */
    PASSIVE,
    DC
}
