package app.jerboa.core.job.mount;

import java.util.List;

/**
 * Where the parts on a slide have their common centre of mass, and the shift that brings it over
 * the axis: x = sum(m x) / sum(m), shift = -x.
 *
 * @param centreMm from the axis, towards the front
 * @param shiftMm to move the plate by
 * @param withinTravel the plate can be moved that far
 */
public record Balance(double centreMm, double shiftMm, boolean withinTravel) {
    /**
     * One part on the slide.
     *
     * @param grams above 0
     * @param offsetMm its own centre of mass from the axis
     */
    public record Part(double grams, double offsetMm) {}

    /**
     * @param parts at least one
     * @param travelMm how far the plate can be moved either way, 0 or more
     */
    public static Balance of(List<Part> parts, double travelMm) {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("nothing to balance");
        }
        double mass = parts.stream().mapToDouble(Part::grams).sum();
        double moment = parts.stream().mapToDouble(p -> p.grams() * p.offsetMm()).sum();
        double centre = moment / mass;
        double shift = centre == 0 ? 0 : -centre;
        return new Balance(centre, shift, Math.abs(shift) <= travelMm);
    }
}
