package app.jerboa.core.bringup;

/**
 * A piece of a technician's work on one device.
 *
 * @param seconds of the technician's time
 * @param boot seconds the device takes by itself afterwards
 * @param place where the laptop must be: {@link #ANYWHERE}, {@link #HOME} or the number of a
 *     factory subnet
 * @param besideBoot it may be done while the device boots
 */
record Task(Work work, int seconds, int boot, int place, boolean besideBoot) {
    static final int ANYWHERE = -1;
    static final int HOME = 0;
}
