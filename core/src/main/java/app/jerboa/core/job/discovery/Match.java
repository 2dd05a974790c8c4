package app.jerboa.core.job.discovery;

import app.jerboa.core.job.Device;
import app.jerboa.core.value.Kebab;
import java.util.List;
import java.util.Optional;

/**
 * What an answer is beside the plan.
 *
 * @param device of the plan that it is, or that should be there instead; empty when none
 * @param by what tells so
 * @param candidates that it might be, where nothing tells for certain
 * @param house what the house has there: the gateway or who holds a taken address; may be blank
 */
public record Match(
        Found found,
        Optional<Device> device,
        By by,
        Verdict verdict,
        List<Device> candidates,
        String house) {
    /** What tells which device it is, the surest first. */
    public enum By {
        MAC,
        SERIAL_NUMBER,
        ADDRESS,
        /** It calls itself by a model of which only one is missing. */
        PROFILE,
        NOTHING;

        public String wire() {
            return Kebab.of(this);
        }
    }

    /** How it stands to the plan. */
    public enum Verdict {
        AS_PLANNED,
        /** Where its kind starts, not set yet. */
        AT_START,
        /** The device of the plan, at an address that is neither its own nor its start. */
        ELSEWHERE,
        /** Where a device of the plan should be, something else answers. */
        ANOTHER,
        /** Two devices answer at one address. */
        SECOND,
        /** Of the house: its gateway, or an address that is taken by others. */
        HOUSE,
        UNKNOWN;

        public String wire() {
            return Kebab.of(this);
        }
    }

    public Match {
        candidates = List.copyOf(candidates);
    }
}
