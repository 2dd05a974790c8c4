package app.jerboa.server.prove;

import app.jerboa.core.job.proof.Outcome;

/**
 * What one test came to.
 *
 * @param value what was found, with its unit; may be blank
 * @param detail what was done, in words
 */
record Verdict(Outcome outcome, String value, String detail) {
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
