package app.jerboa.server.desk;

/**
 * Until when a camera is a desk's. It goes on without the desk's lock, so that a desk that is held
 * up cannot lose its camera by that; bound to one taking, so that an older lease's renewal is none
 * of a newer one.
 */
final class KeptLease {
    private final CameraLink camera;
    private volatile long ends;

    /**
     * @param ends by the desk's clock, nanoseconds
     */
    KeptLease(CameraLink camera, long ends) {
        this.camera = camera;
        this.ends = ends;
    }

    void renewed(CameraLink of, long until) {
        if (camera.equals(of)) {
            ends = until;
        }
    }

    boolean isOver(long now) {
        return now - ends > 0;
    }
}
