package app.jerboa.core.value;

import java.util.List;

/** What can be controlled or told at a camera, in the words jobs store, in their order. */
public final class Functions {
    public static final List<String> WORDS =
            List.of(
                    "pan-tilt",
                    "roll",
                    "rail",
                    "zoom",
                    "focus",
                    "exposure",
                    "paint",
                    "tally",
                    "tracking",
                    "talkback",
                    "audio");

    private Functions() {}
}
