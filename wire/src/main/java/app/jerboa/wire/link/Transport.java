package app.jerboa.wire.link;

import app.jerboa.wire.octets.Octets;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Carries octets to one device and back; every camera is reached through this, so a test can supply
 * its own.
 */
public interface Transport extends AutoCloseable {
    /** Told once, when the octets are out or cannot go out. */
    interface Sent {
        /**
         * @param trouble why they did not go out; empty when they did
         */
        void sent(Optional<String> trouble);
    }

    /**
     * Sends, or sees to it that it is sent: on a shared line others may come first. Octets that
     * newer ones replace before their turn are never sent, and nobody is told.
     */
    void send(Octets octets, Sent sent);

    /** Hands over each datagram, frame or chunk as it comes; close the subscription to stop. */
    Subscription listen(Consumer<Octets> onOctets);

    /** Why nothing goes out just now, in words; empty while all is well as far as can be told. */
    default Optional<String> trouble() {
        return Optional.empty();
    }

    /** The sockets it goes between; empty for a serial port, and while it is not connected. */
    default Optional<WirePath> path() {
        return Optional.empty();
    }

    @Override
    void close();
}
