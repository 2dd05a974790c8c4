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

    private final Supplier<String> called;

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
     * @param called what it is called in the log; asked for when its frame is out
     */
    Exchange(Q request, boolean polling, Supplier<String> called) {
        this.request = request;
        this.polling = polling;
        this.called = called;
    }

    String words() {
        return called.get();
    }
}
