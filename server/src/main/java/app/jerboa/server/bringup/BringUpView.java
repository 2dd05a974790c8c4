package app.jerboa.server.bringup;

import java.util.List;

/**
 * A bring-up as its page shows it.
 *
 * @param started false before it was begun; then the steps are the plan
 * @param finished every step is done
 * @param blockedBy findings that keep it from starting, in words
 * @param current number of the step to do now; 0 when there is none
 * @param waitSeconds of the world's time until the current step can be checked; 0 when it can
 * @param waitTotal the whole boot that is waited for
 * @param secondsLeft of the world's time, by the usual durations
 * @param speed how fast the world's clock runs
 */
public record BringUpView(
        boolean started,
        boolean finished,
        String method,
        List<String> blockedBy,
        List<StepBody> steps,
        int current,
        double waitSeconds,
        int waitTotal,
        int secondsLeft,
        double speed,
        LaptopBody laptop) {

    /**
     * One step.
     *
     * @param kind hop-out, plug, see, set, restart, hop-home or verify
     * @param deviceId 0 for hops
     * @param laptop where the laptop is to be
     * @param evidence asked, seen or told; empty until done
     * @param saw what was seen, in words
     */
    public record StepBody(
            int number,
            String kind,
            long deviceId,
            String device,
            String factory,
            String planned,
            int prefix,
            String mask,
            String gateway,
            String laptop,
            boolean done,
            String evidence,
            String saw) {}

    /** The laptop: where it is (empty when unknown), and where the current step wants it. */
    public record LaptopBody(String actual, String wanted, String wantedMask, boolean right) {}

    /** What a check brought: done or not, what was seen, what to do next. */
    public record Outcome(boolean done, String saw, String next, BringUpView view) {}
}
