package app.jerboa.core.knob;

import app.jerboa.core.value.Reason;
import java.util.OptionalInt;
import java.util.function.BiConsumer;

/** Do the frames of an axis hold what they are to say? */
public final class AxisFramesCheck {
    private final String at;
    private final BiConsumer<String, Reason> report;

    private AxisFramesCheck(String at, BiConsumer<String, Reason> report) {
        this.at = at;
        this.report = report;
    }

    /**
     * @param steps speeds each way
     * @param drive frame with a place for the speed; blank for an axis that is not driven
     * @param report is told the place as a JSON pointer under {@code at}, and the reason
     */
    public static void driven(
            OptionalInt steps, String drive, String at, BiConsumer<String, Reason> report) {
        AxisFramesCheck check = new AxisFramesCheck(at, report);
        check.insist(
                steps.isPresent() != drive.isEmpty(), "/steps", Reason.of("profile.with-frame"));
        if (!drive.isEmpty()) {
            check.toOneCamera(drive, "/drive");
            check.insist(
                    2 * steps.orElse(0) < 1 << FrameShape.bits(drive),
                    "/drive",
                    Reason.of("profile.narrow-place"));
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
            BiConsumer<String, Reason> report) {
        AxisFramesCheck check = new AxisFramesCheck(at, report);
        check.insist(
                ask.isEmpty() == answer.isEmpty(), "/answer", Reason.of("profile.with-question"));
        check.insist(
                ask.isEmpty() != counted, "/countsPerUnit", Reason.of("profile.with-question"));
        if (!ask.isEmpty()) {
            check.toOneCamera(ask, "/ask");
            check.insist(
                    FrameShape.written(answer)
                            && FrameShape.fromOneCamera(answer)
                            && FrameShape.filled(answer)
                            && FrameShape.bits(answer) > 0,
                    "/answer",
                    Reason.of("profile.counted-answer"));
        }
    }

    private void toOneCamera(String frame, String place) {
        insist(
                FrameShape.written(frame)
                        && FrameShape.toOneCamera(frame)
                        && FrameShape.filled(frame),
                place,
                Reason.of("profile.frame"));
    }

    private void insist(boolean holds, String place, Reason reason) {
        if (!holds) {
            report.accept(at + place, reason);
        }
    }
}
