package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.concurrent.CompletableFuture;

/** One request under way: what was sent, how often, and who waits for its reply. */
final class Exchange {
    final long sequence;
    final ViscaRequest request;
    final Octets datagram;
    final boolean polling;
    final CompletableFuture<ViscaReply> reply = new CompletableFuture<>();
    int triesLeft;

    Exchange(long sequence, ViscaRequest request, Octets datagram, boolean polling, int tries) {
        this.sequence = sequence;
        this.request = request;
        this.datagram = datagram;
        this.polling = polling;
        this.triesLeft = tries;
    }
}
