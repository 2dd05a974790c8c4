package app.jerboa.server.world;

import java.util.Map;

/**
 * A device that answers, and where its traffic goes.
 *
 * @param mac in lower case
 * @param ports real ports by protocol, as profiles write it; none for what it has no voice for
 */
public record Answering(String name, String mac, String host, Map<String, Integer> ports) {
    public Answering {
        ports = Map.copyOf(ports);
    }
}
