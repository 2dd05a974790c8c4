package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;
import java.util.List;
import java.util.Optional;

/**
 * How a test of a device stands.
 *
 * @param by the observation that decides; empty while there is none
 * @param why of a stale one: the names of the planned facts that changed, or what happened; of one
 *     that does not apply: the reason's name
 */
public record Standing(State state, Optional<Observation> by, List<String> why) {
    /** One word. */
    public enum State {
        NOT_APPLICABLE,
        OPEN,
        TOLD,
        SEEN,
        ASKED,
        CANNOT_TELL,
        DIFFERS,
        FAILED,
        STALE;

        private final String wire = Kebab.of(this);

        public String wire() {
            return wire;
        }
    }

    public Standing {
        why = List.copyOf(why);
    }

    static Standing open() {
        return new Standing(State.OPEN, Optional.empty(), List.of());
    }

    /** A machine asked or a person looked, and it was as it should be. */
    public boolean proves() {
        return state == State.ASKED || state == State.SEEN;
    }

    /** Something else was found, or it did not work. */
    public boolean wrong() {
        return state == State.DIFFERS || state == State.FAILED;
    }

    /** By itself: as if nothing it rests on had changed. */
    static State of(Observation o) {
        return switch (o.outcome().orElseThrow()) {
            case OK -> of(o.evidence());
            case DIFFERS -> State.DIFFERS;
            case FAILED -> State.FAILED;
            case CANNOT_TELL -> State.CANNOT_TELL;
        };
    }

    private static State of(Evidence evidence) {
        return switch (evidence) {
            case TOLD -> State.TOLD;
            case SEEN -> State.SEEN;
            case ASKED -> State.ASKED;
        };
    }
}
