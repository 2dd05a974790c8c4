package app.jerboa.wire.link.session;

import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.concurrent.CompletableFuture;

/**
 * A head that can be driven, over whatever link. Every call returns at once: what it began ends in
 * the future, which is completed on a thread that holds no lock of the link.
 */
public interface HeadLink extends AutoCloseable {
    /** The newest of drive and home replaces what came before it and is still unanswered. */
    CompletableFuture<ViscaReply> drive(ViscaRequest.Drive drive);

    CompletableFuture<ViscaReply> zoom(ViscaRequest.Zoom zoom);

    CompletableFuture<ViscaReply> home();

    /**
     * Brings the head to rest, whatever moves it; the stop frames are out when this returns. Ends
     * when the head was seen standing, a newer motion came, or the link was closed; a dead link
     * ends in nothing, the stop goes on.
     */
    CompletableFuture<Stopping.Outcome> stop();

    /**
     * @param polling read-back rather than a person's question: marked so in the log
     */
    CompletableFuture<PanTilt> askPanTilt(boolean polling);

    CompletableFuture<ZoomPosition> askZoom(boolean polling);

    CompletableFuture<Version> askVersion();

    @Override
    void close();
}
