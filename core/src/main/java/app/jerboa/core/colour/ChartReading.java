package app.jerboa.core.colour;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a camera made of our chart: six hues, eight greys from dark to light, six hues.
 *
 * @param squares mean code values, 0 to 255 and not rounded, row by row; {@link #SQUARES} of them
 */
public record ChartReading(List<Square> squares) {
    public static final int SQUARES = 20;
    public static final int FIRST_GREY = 6;
    public static final int GREYS = 8;

    /** A mean at or beyond these is clipped. */
    private static final double DARKEST = 1;

    private static final double LIGHTEST = 254;

    /** Mean code values of one square. */
    public record Square(double red, double green, double blue) {
        public boolean usable() {
            return Arrays.stream(new double[] {red, green, blue})
                    .allMatch(v -> v > DARKEST && v < LIGHTEST);
        }

        public Rgb rgb() {
            return Rgb.ofCodes(red, green, blue);
        }
    }

    public ChartReading {
        squares = List.copyOf(squares);
        if (squares.size() != SQUARES) {
            throw new IllegalArgumentException("a chart has 20 squares, got " + squares.size());
        }
    }

    public static boolean isGrey(int square) {
        return square >= FIRST_GREY && square < FIRST_GREY + GREYS;
    }

    /** Empty for one that is clipped. */
    public Optional<Lab> lab(int square) {
        return Optional.of(squares.get(square)).filter(Square::usable).map(s -> s.rgb().lab());
    }
}
