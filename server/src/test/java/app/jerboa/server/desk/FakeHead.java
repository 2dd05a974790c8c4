package app.jerboa.server.desk;

import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.Health;
import app.jerboa.wire.link.session.MoreAxis;
import app.jerboa.wire.link.session.ProfileFrame;
import app.jerboa.wire.link.session.Stopping.Outcome;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;

/** A head that writes down what it is told; how its stops end is for the test to say. */
final class FakeHead implements HeadLink {
    final List<String> told = new ArrayList<>();
    final List<CompletableFuture<Outcome>> stops = new ArrayList<>();
    boolean closed;
    Abilities can = new Abilities(24, 20, 8, true, true, OptionalDouble.empty());

    CompletableFuture<Outcome> lastStop() {
        return stops.get(stops.size() - 1);
    }

    private <T> CompletableFuture<T> note(String what) {
        told.add(what);
        return new CompletableFuture<>();
    }

    @Override
    public Abilities can() {
        return can;
    }

    @Override
    public CompletableFuture<?> drive(int pan, int tilt) {
        return note("drive " + pan + " " + tilt);
    }

    @Override
    public CompletableFuture<?> zoom(int speed) {
        return note("zoom " + speed);
    }

    @Override
    public CompletableFuture<?> focus(int speed) {
        return note("focus " + speed);
    }

    @Override
    public CompletableFuture<?> axis(MoreAxis which, int step) {
        return note(which + " " + step);
    }

    @Override
    public CompletableFuture<?> home() {
        return note("home");
    }

    @Override
    public CompletableFuture<?> recall(int preset, OptionalInt speed) {
        return note("recall " + preset + (speed.isPresent() ? " at " + speed.getAsInt() : ""));
    }

    @Override
    public CompletableFuture<?> store(int preset) {
        return note("store " + preset);
    }

    @Override
    public CompletableFuture<Octets> tell(ProfileFrame what, boolean polling) {
        return CompletableFuture.completedFuture(Octets.of());
    }

    @Override
    public CompletableFuture<String> say(Octets frame) {
        return note("say " + frame);
    }

    @Override
    public Health health() {
        throw new UnsupportedOperationException();
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
