package app.jerboa.server.knobs;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Cameras whose one place for a panel another panel had a moment ago: they are not asked for it
 * again at each reading.
 */
final class HeldPanels {
    private static final Duration TRIED_AGAIN_AFTER = Duration.ofMinutes(1);

    private record Camera(long job, long device) {}

    private final Map<Camera, Instant> heldUntil = new ConcurrentHashMap<>();
    private final InstantSource clock;

    HeldPanels(InstantSource clock) {
        this.clock = clock;
    }

    void note(long job, long device) {
        Instant now = clock.instant();
        heldUntil.values().removeIf(until -> !until.isAfter(now));
        heldUntil.put(new Camera(job, device), now.plus(TRIED_AGAIN_AFTER));
    }

    boolean held(long job, long device) {
        Instant until = heldUntil.get(new Camera(job, device));
        return until != null && until.isAfter(clock.instant());
    }
}
