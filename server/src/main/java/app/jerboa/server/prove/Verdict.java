package app.jerboa.server.prove;

import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import java.util.Optional;

/**
 * What one test came to.
 *
 * @param value what was found, with its unit; may be blank
 * @param detail what was done, in words
 * @param beside another fact that the same question brought
 */
record Verdict(Outcome outcome, String value, String detail, Optional<Beside> beside) {
    /** What came to light beside it. */
    record Beside(Topic topic, String value, Outcome outcome) {}

    Verdict(Outcome outcome, String value, String detail) {
        this(outcome, value, detail, Optional.empty());
    }

    Verdict with(Topic topic, String found, Outcome came) {
        return new Verdict(outcome, value, detail, Optional.of(new Beside(topic, found, came)));
    }

    static Verdict ok(String value, String detail) {
        return new Verdict(Outcome.OK, value, detail);
    }

    static Verdict failed(String value, String detail) {
        return new Verdict(Outcome.FAILED, value, detail);
    }

    static Verdict differs(String value, String detail) {
        return new Verdict(Outcome.DIFFERS, value, detail);
    }

    static Verdict cannotTell(String detail) {
        return new Verdict(Outcome.CANNOT_TELL, "", detail);
    }
}
