package app.jerboa.server.world;

import java.util.Map;
import java.util.Optional;

/**
 * A device that answers, and where its traffic goes.
 *
 * @param mac in lower case; empty where the network does not tell
 * @param ports real ports by protocol, as profiles write it; none for what it has no voice for
 * @param from the address of this machine that reaches it; empty for whichever the system takes
 */
public record Answering(
        String name, String mac, String host, Map<String, Integer> ports, Optional<String> from) {
    public Answering {
        ports = Map.copyOf(ports);
    }

    /** From whichever address the system takes. */
    public static Answering of(String name, String mac, String host, Map<String, Integer> ports) {
        return new Answering(name, mac, host, ports, Optional.empty());
    }
}
