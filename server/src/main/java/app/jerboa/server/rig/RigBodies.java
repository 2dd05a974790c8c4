package app.jerboa.server.rig;

import app.jerboa.core.net.Ipv4;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** What the rig's control interface takes and gives. */
final class RigBodies {
    private RigBodies() {}

    /** Network settings of a device or the laptop; gateway empty for none. */
    record Network(String address, int prefix, String gateway) {
        /** With its prefix, as an address of the laptop is written. */
        String text() {
            return address + "/" + prefix;
        }

        /** Empty for a device without a network, or whom nobody lent an address. */
        Optional<Ipv4> known() {
            return Optional.of(Ipv4.parse(address)).filter(a -> a.bits() != 0);
        }
    }

    /**
     * A job's file, and the passwords that were set at its devices, by their ids.
     *
     * @param job as bytes of JSON
     */
    record Furnish(JsonNode job, Map<String, String> passwords) {
        /** Without its passwords. */
        @Override
        public String toString() {
            return "Furnish[…]";
        }
    }

    /**
     * @param upstream also what feeds it and what it is reached through
     */
    record Plug(boolean plugged, boolean upstream) {}

    record Begin(String how) {}

    record On(boolean on) {}

    record Reset(boolean networkOnly) {}

    record Update(String version) {}

    record PortState(String state) {}

    /** One end of a lead; device empty for back where it is planned. */
    record End(boolean near, Optional<String> device, String port) {}

    /** What a person sees at a device after a hand at it. */
    record Seen(String says, boolean refused, boolean restarts) {}

    record Speed(double speed) {}

    /** The world's clock. */
    record Clock(Instant anchorWall, Instant anchorWorld, double speed, Instant worldNow) {}

    /** The hall as it is. */
    record Hall(Network laptop, List<Network> also, List<Device> devices) {}

    /** One simulated device; phase OFF, BOOTING or UP. */
    record Device(
            String id,
            String name,
            String mac,
            boolean plugged,
            String power,
            String phase,
            double secondsToBoot,
            Network settings,
            Optional<Object> head,
            boolean moving,
            Map<String, Double> axes,
            Optional<Object> lastDrive,
            Map<String, Integer> knobs) {}

    /** What answers, and on which real loopback ports. */
    record Answering(String id, String name, String mac, String host, Map<String, Integer> ports) {}

    /** None, one, or several that fight; onLink false when the laptop is in another subnet. */
    record Reach(boolean onLink, List<Answering> answering, String holder) {}
}
