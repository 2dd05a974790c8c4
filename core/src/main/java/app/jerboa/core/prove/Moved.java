package app.jerboa.core.prove;

/**
 * Whether a position changed as it was told to.
 *
 * @param asked counts it was to change by, signed
 * @param changed counts it changed by, signed
 */
public record Moved(int asked, int changed) {
    /** Less is noise of the encoder. */
    public static final int LEAST_COUNTS = 5;

    public static Moved between(int before, int after, int asked) {
        return new Moved(asked, Math.subtractExact(after, before));
    }

    /** The right way, by at least 5 counts and at least half of what was asked. */
    public boolean well() {
        int there = Math.abs(changed);
        return asked != 0
                && Integer.signum(changed) == Integer.signum(asked)
                && there >= LEAST_COUNTS
                && 2L * there >= Math.abs((long) asked);
    }

    /** It went, and the other way. */
    public boolean backwards() {
        return Math.abs(changed) >= LEAST_COUNTS
                && Integer.signum(changed) == -Integer.signum(asked);
    }
}
