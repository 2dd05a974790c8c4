package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;

/**
 * One request under way: what was sent, how often, and the reply that is waited for. Guarded by its
 * session.
 */
final class Exchange<Q, A> {
    final Q request;
    final boolean polling;

    /** What it is called in the log, which keeps these words and lets the rest go. */
    final Supplier<String> words;

    final CompletableFuture<A> reply = new CompletableFuture<>();
    long sequence;
    Octets datagram;
    int sent;

    /** When it went out last, in nanoseconds. */
    long sentAt;

    /** When it is sent again or given up, in nanoseconds. */
    long dueAt;

    /** How often the device asked for another sequence number. */
    int renumbered;

    /**
     * @param polling read-back rather than a person's question: marked so in the log
     * @param words asked for when its frame is out
     */
    Exchange(Q request, boolean polling, Supplier<String> words) {
        this.request = request;
        this.polling = polling;
        this.words = words;
    }
}
