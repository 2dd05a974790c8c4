package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import java.util.concurrent.CompletableFuture;

/**
 * One request under way: what was sent, how often, and the reply that is waited for. Guarded by its
 * session.
 */
final class Exchange<Q, A> {
    final Q request;
    final boolean polling;

    /** What it is called in the wire log. */
    final String words;

    final CompletableFuture<A> reply = new CompletableFuture<>();
    long sequence;
    Octets datagram;
    int sent;

    /** When it went out last, in nanoseconds. */
    long sentAt;

    /** How often the device asked for another sequence number. */
    int renumbered;

    /**
     * @param polling read-back rather than a person's question: marked so in the log
     */
    Exchange(Q request, boolean polling, String words) {
        this.request = request;
        this.polling = polling;
        this.words = words;
    }
}
