package app.jerboa.server.world;

import java.time.Instant;

/**
 * A world's clock.
 *
 * @param speed how many of its seconds pass in one of ours, above 0
 */
public record WorldTime(Instant now, double speed) {}
