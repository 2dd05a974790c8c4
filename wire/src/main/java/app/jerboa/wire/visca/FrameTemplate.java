package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A frame as a profile writes it, with a place for one value: {@code 8x 01 04 4B 00 00 0p 0p FF}
 * for a request, {@code y0 50 00 00 0p 0p FF} for an answer. {@code x} and {@code y} are the
 * camera's, {@code p} are nibbles of the value, the highest first.
 */
public final class FrameTemplate {
    private static final char VALUE = 'p';
    private static final String TO_ONE = "8x ";
    private static final String ANSWER = "y0 50 ";
    private static final String END = " FF";

    private static final int NIBBLE = 4;

    private final String written;
    private final Template body;

    private FrameTemplate(String written, Template body) {
        this.written = written;
        this.body = body;
    }

    /**
     * @throws IllegalArgumentException for what is no frame to one camera
     */
    public static FrameTemplate request(String written) {
        return between(written, TO_ONE);
    }

    /**
     * @throws IllegalArgumentException for what is no answer of one camera
     */
    public static FrameTemplate answer(String written) {
        return between(written, ANSWER);
    }

    private static FrameTemplate between(String written, String start) {
        if (!written.startsWith(start)
                || !written.endsWith(END)
                || written.length() < start.length() + END.length() + 2) {
            throw new IllegalArgumentException(
                    "a frame runs from " + start.trim() + " to FF, got \"" + written + "\"");
        }
        return new FrameTemplate(
                written,
                Template.of(written.substring(start.length(), written.length() - END.length())));
    }

    /** How wide the value's place is; 0 without one. */
    public int valueBits() {
        return NIBBLE * (int) written.chars().filter(c -> c == VALUE).count();
    }

    /** Octets between its start and its end mark. */
    public int size() {
        return body.size();
    }

    /**
     * Those octets with the value in its place.
     *
     * @param value not negative, no wider than its place; of no meaning where there is none
     */
    public Octets fill(int value) {
        return body.encode(Map.of(VALUE, value));
    }

    /** The value in these octets, 0 where there is no place for one; empty for other octets. */
    public OptionalInt read(Octets octets) {
        Optional<Map<Character, Integer>> read = body.decode(octets);
        return read.isPresent()
                ? OptionalInt.of(read.get().getOrDefault(VALUE, 0))
                : OptionalInt.empty();
    }
}
