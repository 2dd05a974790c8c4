package app.jerboa.core.job.control;

/** What must be there or done before a route works. */
public enum RouteNeed {
    /** The camera has no network without an option module or adapter, and none is fitted. */
    OPTION,
    /** The line has no key on that controller yet. */
    KEY,
    /** The controller is taught where it is: ID, then channel, then camera. */
    TARGET_LIST,
    /** What it goes through is fitted to the camera. */
    FITTING,
    /** The two sides use different ports as they come. */
    PORT,
    /** User and password. */
    SECRET,
    /** Remote control, or a first login, is enabled at the camera. */
    REMOTE_ON,
    /** A lead of its own. */
    LEAD,
    /** A lead from camera to camera, each with its own ID. */
    CHAIN,
    /** A pair past every camera, each with its own ID. */
    BUS,
    /** A line of sight. */
    SIGHT,
    /** To be within radio range. */
    RANGE,
    /** A return picture from the switcher to the camera. */
    RETURN_PICTURE
}
