package app.jerboa.server.bringup;

import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.value.DeviceId;
import java.time.OffsetDateTime;
import java.util.Optional;

/** Rows of the bring-up tables. */
final class BringUpRows {
    private BringUpRows() {}

    record RunRow(long id, String method, String person, OffsetDateTime startedAt) {}

    /** Device 0 for none; doneAt and bootOverAt null while there is none. */
    record StepRow(
            int number,
            String kind,
            long deviceId,
            String laptop,
            OffsetDateTime doneAt,
            String evidence,
            String saw,
            OffsetDateTime bootOverAt) {
        boolean done() {
            return doneAt != null;
        }

        Step toStep() {
            return new Step(
                    Step.Kind.fromWire(kind).orElseThrow(),
                    deviceId == 0 ? Optional.empty() : Optional.of(new DeviceId(deviceId)),
                    LaptopAddress.parse(laptop));
        }
    }
}
