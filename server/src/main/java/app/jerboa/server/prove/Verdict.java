package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.job.NewObservation;
import java.util.ArrayList;
import java.util.List;

/**
 * What one test came to.
 *
 * @param value what was found, with its unit; may be blank
 * @param detail what was done, in words
 * @param beside other facts that the same question brought
 */
record Verdict(Outcome outcome, String value, String detail, List<Beside> beside) {
    /** What came to light beside it. */
    record Beside(Topic topic, String value, Outcome outcome) {}

    Verdict(Outcome outcome, String value, String detail) {
        this(outcome, value, detail, List.of());
    }

    Verdict with(Topic topic, String found, Outcome came) {
        List<Beside> all = new ArrayList<>(beside);
        all.add(new Beside(topic, found, came));
        return new Verdict(outcome, value, detail, List.copyOf(all));
    }

    /** As it is kept: what came to light beside it first. */
    List<NewObservation> seenAt(Device device, Topic topic) {
        List<NewObservation> seen = new ArrayList<>();
        beside.forEach(b -> seen.add(asked(device, b.topic(), b.value(), b.outcome())));
        seen.add(asked(device, topic, value, outcome));
        return seen;
    }

    private NewObservation asked(Device device, Topic topic, String found, Outcome came) {
        return NewObservation.of(device.id(), topic, found, Evidence.ASKED, came, detail);
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
