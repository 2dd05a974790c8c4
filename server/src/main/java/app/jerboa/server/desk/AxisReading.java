package app.jerboa.server.desk;

import app.jerboa.wire.link.session.MoreAxis;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;

/**
 * Where a head is beside pan and tilt, as far as it says so.
 *
 * @param roll degrees, clockwise as the camera sees
 * @param rail metres from its start
 */
record AxisReading(Optional<Double> roll, Optional<Double> rail) {
    static final AxisReading NONE = new AxisReading(Optional.empty(), Optional.empty());

    /** Ends with what it says; nothing that is silent about it fails the rest. */
    static CompletableFuture<AxisReading> of(CameraLink camera) {
        return read(camera, MoreAxis.ROLL)
                .thenCombine(read(camera, MoreAxis.RAIL), AxisReading::new);
    }

    private static CompletableFuture<Optional<Double>> read(CameraLink camera, MoreAxis which) {
        if (!HeadAxes.tells(camera.head(), which)) {
            return CompletableFuture.completedFuture(Optional.empty());
        }
        return camera.link()
                .askAxis(which, true)
                .handle((counts, silent) -> Optional.ofNullable(counts))
                .thenApply(c -> c.flatMap(n -> place(camera, which, n)));
    }

    private static Optional<Double> place(CameraLink camera, MoreAxis which, int counts) {
        return HeadAxes.place(camera.head(), which, counts).stream().boxed().findFirst();
    }
}
