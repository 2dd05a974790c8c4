package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.job.NewObservation;
import java.util.List;
import org.springframework.stereotype.Component;

/** The test of control, for a caller that waits for its answer and keeps it. */
@Component
public class ControlNow {
    private final ControlTest test;

    ControlNow(ControlTest test) {
        this.test = test;
    }

    /**
     * What it came to.
     *
     * @param words what it answered to, else why that is not known
     * @param seen to be kept once it is over
     */
    public record Came(boolean answered, String words, List<NewObservation> seen) {}

    /** Asks some seconds long; outside any transaction. */
    public Came ask(Jobs.Stored stored, Device device) {
        Verdict verdict = test.test(stored, device);
        boolean answered = verdict.outcome() == Outcome.OK;
        return new Came(
                answered,
                answered ? verdict.value() : verdict.detail(),
                verdict.seenAt(device, Topic.CONTROL));
    }
}
