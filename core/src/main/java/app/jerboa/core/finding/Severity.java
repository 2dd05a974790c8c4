package app.jerboa.core.finding;

/** How much a finding matters, worst first, so that sorting by it puts stops on top. */
public enum Severity {
    /** It will not work, or it can hurt someone. */
    STOP,
    /** It works now and bites later. */
    WARN,
    /** Worth knowing. */
    NOTE
}
