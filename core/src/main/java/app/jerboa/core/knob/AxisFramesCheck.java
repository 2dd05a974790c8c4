package app.jerboa.core.knob;

import java.util.OptionalInt;
import java.util.function.BiConsumer;

/** Do the frames of an axis hold what they are to say? */
public final class AxisFramesCheck {
    private final String at;
    private final BiConsumer<String, String> report;

    private AxisFramesCheck(String at, BiConsumer<String, String> report) {
        this.at = at;
        this.report = report;
    }

    /**
     * @param steps speeds each way
     * @param drive frame with a place for the speed; blank for an axis that is not driven
     * @param report is told the place as a JSON pointer under {@code at}, and the reason
     */
    public static void driven(
            OptionalInt steps, String drive, String at, BiConsumer<String, String> report) {
        AxisFramesCheck check = new AxisFramesCheck(at, report);
        check.insist(steps.isPresent() != drive.isEmpty(), "/steps", "goes with its frame");
        if (!drive.isEmpty()) {
            check.toOneCamera(drive, "/drive");
            check.insist(
                    2 * steps.orElse(0) < 1 << FrameShape.bits(drive),
                    "/drive",
                    "its place is too narrow for the speeds both ways");
        }
    }

    /**
     * @param counted it is known what a count is
     */
    public static void asked(
            String ask,
            String answer,
            boolean counted,
            String at,
            BiConsumer<String, String> report) {
        AxisFramesCheck check = new AxisFramesCheck(at, report);
        check.insist(ask.isEmpty() == answer.isEmpty(), "/answer", "goes with the asking frame");
        check.insist(ask.isEmpty() != counted, "/countsPerUnit", "goes with the asking frame");
        if (!ask.isEmpty()) {
            check.toOneCamera(ask, "/ask");
            check.insist(
                    FrameShape.written(answer)
                            && FrameShape.fromOneCamera(answer)
                            && FrameShape.filled(answer)
                            && FrameShape.bits(answer) > 0,
                    "/answer",
                    "an answer runs from y0 50 to FF, with a place for the counts");
        }
    }

    private void toOneCamera(String frame, String place) {
        insist(
                FrameShape.written(frame)
                        && FrameShape.toOneCamera(frame)
                        && FrameShape.filled(frame),
                place,
                "a frame runs from 8x to FF");
    }

    private void insist(boolean holds, String place, String reason) {
        if (!holds) {
            report.accept(at + place, reason);
        }
    }
}
