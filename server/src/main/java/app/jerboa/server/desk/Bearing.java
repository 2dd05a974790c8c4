package app.jerboa.server.desk;

import app.jerboa.core.motion.SoftLimits;
import java.util.Optional;
import java.util.function.LongSupplier;

/**
 * Where a head says that it points, how long ago it said so, and between which limits it is to
 * stay. Whoever holds the desk's lock calls it.
 */
final class Bearing {
    /**
     * A steady move, and one between limits, goes by where the head says that it points: silent for
     * so long, it is stopped.
     */
    private static final long UNSEEN_NANOS = 1_000_000_000L;

    /** What began outside may waver by so much on its way back: 0.5 degrees, 25 mm of a rail. */
    private static final double WAVERS = 5;

    private final LongSupplier clock;
    private SoftLimits limits = SoftLimits.NONE;
    private Optional<Pointing> pointing = Optional.empty();
    private long seenAt;

    /** The least that it was {@link SoftLimits#beyond} since it went somewhere by itself. */
    private double leastBeyond;

    Bearing(LongSupplier clock) {
        this.clock = clock;
    }

    /** Another head: it has said nothing yet, and has its second to do so. */
    void afresh() {
        pointing = Optional.empty();
        seenAt = clock.getAsLong();
    }

    void limits(SoftLimits other) {
        limits = other;
    }

    SoftLimits limits() {
        return limits;
    }

    boolean known() {
        return pointing.isPresent();
    }

    /** It says where it is on every axis that has a limit. */
    boolean saysEnough() {
        return pointing.filter(p -> p.places().keySet().containsAll(limits.of().keySet()))
                .isPresent();
    }

    boolean silent() {
        return clock.getAsLong() - seenAt > UNSEEN_NANOS;
    }

    /** As it said within a second. */
    Optional<Pointing> fresh() {
        return pointing.filter(p -> !silent());
    }

    /** It goes somewhere by itself from now on. */
    void goes() {
        leastBeyond = pointing.map(this::beyond).orElse(Double.POSITIVE_INFINITY);
    }

    /**
     * It says where it points.
     *
     * @return it leaves its limits, or goes further away from them than it was
     */
    boolean seen(Pointing where) {
        pointing = Optional.of(where);
        seenAt = clock.getAsLong();
        double beyond = beyond(where);
        boolean leaves = beyond > leastBeyond + (leastBeyond > 0 ? WAVERS : 0);
        leastBeyond = Math.min(leastBeyond, beyond);
        return leaves;
    }

    private double beyond(Pointing where) {
        return limits.beyond(where.places());
    }
}
