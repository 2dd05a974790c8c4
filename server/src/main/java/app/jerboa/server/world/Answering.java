package app.jerboa.server.world;

import app.jerboa.core.profile.Protocol;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.NoAnswer;
import java.net.InetSocketAddress;
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

    /**
     * @throws NoAnswer when it has no port for that
     */
    InetSocketAddress at(Protocol protocol) {
        Integer port = ports.get(protocol.toString());
        if (port == null) {
            throw new NoAnswer(
                    Words.say("refused.no-port", Map.of("device", name, "protocol", protocol)));
        }
        return new InetSocketAddress(host, port);
    }

    /** From whichever address the system takes. */
    public static Answering of(String name, String mac, String host, Map<String, Integer> ports) {
        return new Answering(name, mac, host, ports, Optional.empty());
    }
}
