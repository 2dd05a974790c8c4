package app.jerboa.core.value;

import java.time.Duration;
import java.time.Instant;

/**
 * The clock of the simulated world: it passes through {@code anchorWorld} when the wall clock shows
 * {@code anchorWall} and runs {@code speed} times as fast. Boots and motion are timed by it; safety
 * timers (the stop contract) never are.
 *
 * @param speed 0.1 to 1,000
 */
public record WorldClock(Instant anchorWall, Instant anchorWorld, double speed) {
    public static final double SLOWEST = 0.1;
    public static final double FASTEST = 1000;

    public WorldClock {
        if (!(speed >= SLOWEST && speed <= FASTEST)) {
            throw new IllegalArgumentException(
                    "speed must be " + SLOWEST + " to " + FASTEST + ", got " + speed);
        }
    }

    /** A world clock that shows the wall's time and keeps to its pace. */
    public static WorldClock wall() {
        return new WorldClock(Instant.EPOCH, Instant.EPOCH, 1);
    }

    public Instant at(Instant wall) {
        double nanos = Duration.between(anchorWall, wall).toNanos() * speed;
        return speed == 1
                ? anchorWorld.plus(Duration.between(anchorWall, wall))
                : anchorWorld.plusNanos(Math.round(nanos));
    }

    /** The same clock from {@code wall} on at another speed: its time does not jump. */
    public WorldClock withSpeed(double newSpeed, Instant wall) {
        return new WorldClock(wall, at(wall), newSpeed);
    }
}
