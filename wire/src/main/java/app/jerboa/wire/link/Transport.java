package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.io.IOException;
import java.util.function.Consumer;

/**
 * Carries octets to one device and back; every camera is reached through this, so a test can supply
 * its own.
 */
public interface Transport extends AutoCloseable {
    void send(Octets octets) throws IOException;

    /** Hands over each datagram or chunk as it comes; close the subscription to stop. */
    Subscription listen(Consumer<Octets> onOctets);

    @Override
    void close();
}
