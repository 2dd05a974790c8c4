package app.jerboa.core.bringup;

/** Seconds of a technician's time per kind of step. */
public record StepTimes(int hop, int plug, int set, int verify) {
    public static StepTimes usual() {
        return new StepTimes(45, 20, 60, 15);
    }
}
