package app.jerboa.server.wiring;

import app.jerboa.server.change.ChangesBody;
import java.util.List;

/** What the switches told, beside the plan. */
final class WiringBodies {
    private WiringBodies() {}

    /**
     * @param follows the changes that make the plan what was seen, of all that is elsewhere; may be
     *     empty
     */
    record WiringView(
            List<AskedSwitch> switches,
            List<SeenRunBody> runs,
            List<UnknownMac> unknown,
            ChangesBody follows) {}

    /**
     * One network switch of the job.
     *
     * @param told what it said of itself; blank where it said nothing
     * @param givenWatts of {@code budgetWatts}; null where it tells none
     * @param why it said nothing, and what to do; blank where it answered
     */
    record AskedSwitch(
            long id,
            String name,
            String told,
            int portsUp,
            Long givenWatts,
            Long budgetWatts,
            String why) {}

    /**
     * @param verdict as-planned, elsewhere, unplanned, not-heard or no-mac
     * @param planned port as people say it; blank for none
     * @param seen the same
     * @param port its speed and power in words; blank where nothing is told
     * @param next what to do about it; blank for nothing
     */
    record SeenRunBody(
            long deviceId,
            String device,
            String mac,
            String planned,
            String seen,
            String port,
            String verdict,
            String next) {}

    /** An address that no device of the job has. */
    record UnknownMac(String mac, String seen) {}
}
