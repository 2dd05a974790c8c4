package app.jerboa.server.desk;

import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.Stopping.Outcome;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;

/** A head that writes down what it is told; how its stops end is for the test to say. */
final class FakeHead implements HeadLink {
    final List<String> told = new ArrayList<>();
    final List<CompletableFuture<Outcome>> stops = new ArrayList<>();
    boolean closed;

    CompletableFuture<Outcome> lastStop() {
        return stops.get(stops.size() - 1);
    }

    private <T> CompletableFuture<T> note(String what) {
        told.add(what);
        return new CompletableFuture<>();
    }

    @Override
    public CompletableFuture<ViscaReply> drive(ViscaRequest.Drive drive) {
        return note("drive " + drive.pan() + " " + drive.tilt());
    }

    @Override
    public CompletableFuture<ViscaReply> zoom(ViscaRequest.Zoom zoom) {
        return note("zoom " + zoom.speed());
    }

    @Override
    public CompletableFuture<ViscaReply> home() {
        return note("home");
    }

    @Override
    public CompletableFuture<Outcome> stop() {
        stops.add(note("stop"));
        return lastStop();
    }

    @Override
    public CompletableFuture<PanTilt> askPanTilt(boolean polling) {
        return new CompletableFuture<>();
    }

    @Override
    public CompletableFuture<Version> askVersion() {
        return new CompletableFuture<>();
    }

    @Override
    public CompletableFuture<ZoomPosition> askZoom(boolean polling) {
        return new CompletableFuture<>();
    }

    @Override
    public void close() {
        closed = true;
    }
}
