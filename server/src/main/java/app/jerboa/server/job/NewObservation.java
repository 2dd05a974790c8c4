package app.jerboa.server.job;

import app.jerboa.core.job.proof.Evidence;
import app.jerboa.core.job.proof.Outcome;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import java.util.Optional;

/**
 * An observation as it is made; number, time and basis come with its storing.
 *
 * @param detail by which exchange, or in whose words; may be blank
 */
public record NewObservation(
        DeviceId device,
        Topic topic,
        String value,
        Evidence evidence,
        Optional<Outcome> outcome,
        String detail,
        Optional<Long> photo) {
    public static NewObservation of(
            DeviceId device,
            Topic topic,
            String value,
            Evidence evidence,
            Outcome outcome,
            String detail) {
        return new NewObservation(
                device, topic, value, evidence, Optional.of(outcome), detail, Optional.empty());
    }
}
