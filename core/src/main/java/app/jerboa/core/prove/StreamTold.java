package app.jerboa.core.prove;

import app.jerboa.core.video.PictureSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a camera tells of its network picture, beside what is planned. What it does not tell differs
 * from nothing.
 *
 * @param codec in lower case, for example {@code h264}
 */
public record StreamTold(Optional<String> codec, Optional<Pixels> size, OptionalDouble rate) {
    /** Width and height. */
    public record Pixels(int width, int height) {}

    /** A rate of 29.97 is one of 30. */
    private static final double NEAR = 0.05;

    /**
     * @param codecs those that are planned for it
     * @param planned empty where no format is noted
     * @return what is other: codec, size, rate
     */
    public List<String> otherThan(List<String> codecs, Optional<PictureSize> planned) {
        List<String> other = new ArrayList<>();
        if (codec.isPresent() && !codecs.isEmpty() && !codecs.contains(codec.get())) {
            other.add("codec");
        }
        if (planned.isPresent()) {
            PictureSize p = planned.get();
            if (size.isPresent() && !size.get().equals(new Pixels(p.width(), p.height()))) {
                other.add("size");
            }
            if (rate.isPresent() && Math.abs(rate.getAsDouble() - p.fps()) > NEAR) {
                other.add("rate");
            }
        }
        return List.copyOf(other);
    }
}
