package app.jerboa.core.knob;

import java.util.regex.Pattern;

/** Is a frame with places written rightly, and how much does it hold? */
final class FrameShape {
    private static final Pattern PAIRS =
            Pattern.compile("[0-9A-Fpxyas]{2}( [0-9A-Fpxyas]{2}){0,15}");
    private static final int NIBBLE_BITS = 4;

    private FrameShape() {}

    static boolean written(String frame) {
        return PAIRS.matcher(frame).matches();
    }

    /** Bits of the value's place; 0 without one. */
    static int bits(String frame) {
        return NIBBLE_BITS * (int) frame.chars().filter(c -> c == 'p').count();
    }

    /** From the controller to one camera, in VISCA. */
    static boolean toOneCamera(String frame) {
        return frame.startsWith("8x ") && frame.endsWith(" FF") && !frame.contains("y");
    }

    /** From one camera, in VISCA. */
    static boolean fromOneCamera(String frame) {
        return frame.startsWith("y0 50 ") && frame.endsWith(" FF");
    }

    /** Behind its address only the value has a place: nobody could fill another. */
    static boolean filled(String frame) {
        return frame.substring(2).chars().noneMatch(c -> "xyas".indexOf(c) >= 0);
    }

    /** Seven octets to one address of a bus, with their sum. */
    static boolean onBus(String frame) {
        return frame.startsWith("FF aa ") && frame.endsWith(" ss") && frame.length() == 20;
    }
}
