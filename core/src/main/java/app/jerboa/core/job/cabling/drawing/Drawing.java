package app.jerboa.core.job.cabling.drawing;

import java.util.List;

/** Shapes on a sheet that is just large enough; see {@link Shape} for its units. */
public record Drawing(double width, double height, List<Shape> shapes) {
    public Drawing {
        shapes = List.copyOf(shapes);
    }
}
