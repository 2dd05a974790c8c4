package app.jerboa.server.bringup;

import java.util.List;
import java.util.Optional;

/**
 * A bring-up as its page shows it.
 *
 * @param started false before it was begun; then there are no steps
 * @param finished every step is done
 * @param aside names of devices that were put aside; may be empty
 * @param current number of the step to do now, if there is one
 * @param now what the current step asks for; empty texts when there is none
 * @param waitSeconds of the world's time until the current step can be checked; 0 when it can
 * @param waitTotal the whole boot that is waited for
 * @param waits boots that run now, the next to end first
 * @param secondsLeft of the world's time, by the durations of the job
 * @param speed how fast the world's clock runs
 */
public record BringUpView(
        boolean started,
        boolean finished,
        String method,
        boolean workshop,
        String aside,
        List<StepBody> steps,
        Optional<Integer> current,
        NowBody now,
        double waitSeconds,
        int waitTotal,
        List<WaitBody> waits,
        int secondsLeft,
        double speed,
        LaptopBody laptop) {

    /**
     * One step.
     *
     * @param kind as {@code Step.Kind} writes it
     * @param deviceId none for hops
     * @param laptop where the laptop is to be
     * @param evidence asked, seen or told; empty until done
     * @param saw what was seen, in words
     * @param differs it was not as planned
     */
    public record StepBody(
            int number,
            String kind,
            Optional<Long> deviceId,
            String device,
            String factory,
            String planned,
            String laptop,
            boolean done,
            String evidence,
            String saw,
            boolean differs) {}

    /**
     * The words of a step, what to do in it, and what can hurt.
     *
     * @param watched what Jerboa looks for and ticks by itself; blank when only a person can know
     * @param clears the address whose entry the laptop must forget: another device had it before;
     *     blank for none
     */
    public record NowBody(
            String title,
            String todo,
            String expect,
            List<ActionBody> actions,
            List<String> cautions,
            boolean hands,
            String watched,
            String clears) {
        NowBody watched(String sign, String entry) {
            return new NowBody(title, todo, expect, actions, cautions, hands, sign, entry);
        }
    }

    /** A boot that runs by itself; seconds of the world's time. */
    public record WaitBody(long deviceId, double left, int total) {}

    /**
     * One thing to do.
     *
     * @param value to be typed or read exactly; may be empty
     * @param secret id of the secret to be typed, if there is one
     * @param wantsSecret there should be one, and none is kept
     */
    public record ActionBody(
            String kind, String text, String value, Optional<Long> secret, boolean wantsSecret) {}

    /**
     * The laptop: where it is (empty when unknown), where the current step wants it, and what it
     * has beside that.
     */
    public record LaptopBody(
            String actual, String wanted, String wantedMask, List<String> also, boolean right) {}

    /** What a check brought: done or not, what was seen, what to do next. */
    public record Outcome(boolean done, String saw, String next, BringUpView view) {}
}
