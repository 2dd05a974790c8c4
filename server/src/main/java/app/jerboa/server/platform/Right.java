package app.jerboa.server.platform;

/** What a part in a job may do there. */
public enum Right {
    /** See everything but secrets. */
    READ,
    /** Drive cameras and use presets. */
    DRIVE,
    /** Plan, bring up, prove, write into the logbook. */
    PLAN,
    /** The job as a whole and who belongs to it. */
    MANAGE
}
