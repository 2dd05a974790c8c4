package app.jerboa.server.discovery;

import java.util.List;
import java.util.Optional;

/** A look at the network on the wire. */
final class DiscoveryBodies {
    private DiscoveryBodies() {}

    /**
     * Where the last look stands, and what it found beside the plan as it is now.
     *
     * @param state none, running, done, cancelled or stopped
     * @param done addresses that were asked
     * @param why of a stopped one
     * @param missing devices whose planned address was asked and that did not answer
     * @param whyNothing what usually eats the answers, when nothing was found
     * @param subnets that can be looked through
     * @param live real devices are asked, so that a person confirms it
     */
    record DiscoveryView(
            String state,
            String person,
            int done,
            int count,
            String doing,
            String why,
            List<FoundBody> found,
            List<LookDevice> missing,
            List<String> whyNothing,
            List<LookSubnet> subnets,
            boolean live) {}

    /**
     * One answer.
     *
     * @param macs in lower case; none where the network does not tell
     * @param services web, rtsp, probe
     * @param name what it calls itself
     * @param device of the plan that it is, or that should be there
     * @param by mac, serial-number, address, profile or nothing
     * @param verdict as-planned, at-start, elsewhere, another, second, house or unknown
     * @param words what it is and what to do about it
     * @param candidates that it might be
     */
    record FoundBody(
            String address,
            List<String> macs,
            List<String> services,
            String name,
            String hardware,
            String serialNumber,
            Optional<LookDevice> device,
            String by,
            String verdict,
            String words,
            List<LookDevice> candidates) {}

    record LookDevice(long id, String name, String planned, String mac) {}

    /**
     * @param addresses that are asked there at most
     * @param leftOut hosts beyond that
     * @param seconds it takes at least
     */
    record LookSubnet(String subnet, String name, int addresses, long leftOut, double seconds) {}

    /**
     * @param subnets as {@code 10.44.8.0/24}, of the job
     * @param confirmed a person said that this network may be looked through; for the live network
     */
    record LookBody(List<String> subnets, boolean confirmed) {}
}
