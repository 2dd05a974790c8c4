package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.util.concurrent.CompletableFuture;

/**
 * One request under way: what was sent, how often, and who waits for its reply. Guarded by its
 * link.
 */
final class Exchange {
    /** Resend after this long without an answer. */
    static final int TIMEOUT_MILLIS = 250;

    static final int TRIES = 3;

    /**
     * A stop is repeated faster at first: 40 times 75 ms, then like all else, until it is closed.
     */
    private static final int STOP_TIMEOUT_MILLIS = 75;

    private static final int QUICK_STOPS = 40;

    final ViscaRequest request;
    final boolean polling;
    final CompletableFuture<ViscaReply> reply = new CompletableFuture<>();
    long sequence;
    Octets datagram;
    int sent;

    /** How often the camera asked for another sequence number. */
    int renumbered;

    Exchange(ViscaRequest request, boolean polling) {
        this.request = request;
        this.polling = polling;
    }

    boolean stops() {
        return request.equals(ViscaRequest.Drive.STOP) || request.equals(ViscaRequest.Zoom.STOP);
    }

    /** A stop is never given up. */
    boolean givenUp() {
        return !stops() && sent >= TRIES;
    }

    int millisToResend() {
        return stops() && sent < QUICK_STOPS ? STOP_TIMEOUT_MILLIS : TIMEOUT_MILLIS;
    }

    /**
     * A command is settled by its acknowledgement alone: a completion may belong to the command
     * before it. An inquiry is settled by an answer of its own shape.
     */
    boolean settledBy(ViscaReply answered) {
        if (answered instanceof ViscaReply.Refused) {
            return true;
        }
        return request.inquiry()
                ? answered instanceof ViscaReply.Answer answer && fits(answer)
                : answered instanceof ViscaReply.Ack;
    }

    private boolean fits(ViscaReply.Answer answer) {
        int expected =
                request instanceof ViscaRequest.AskPanTilt
                        ? 8
                        : request instanceof ViscaRequest.AskZoom ? 4 : 7;
        return answer.payload().size() == expected;
    }
}
