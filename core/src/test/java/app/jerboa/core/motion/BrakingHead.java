package app.jerboa.core.motion;

/** One axis of a head that takes its time to come to the speed it is told. */
final class BrakingHead {
    static final double TICK_SECONDS = 0.02;

    private final double braking;
    private double speed;
    private double at;

    /**
     * @param braking in degrees/s²
     */
    BrakingHead(double braking) {
        this.braking = braking;
    }

    double at() {
        return at;
    }

    /** One tick at what it is told, in degrees a second. */
    void goes(double told) {
        double most = braking * TICK_SECONDS;
        speed += Math.max(-most, Math.min(most, told - speed));
        at += speed * TICK_SECONDS;
    }
}
