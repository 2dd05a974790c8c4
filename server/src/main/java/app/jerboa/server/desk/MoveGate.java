package app.jerboa.server.desk;

import java.util.Optional;

/** Whether the head of one desk may begin to move, and what is to be asked first. */
final class MoveGate {
    /** What keeps it. */
    enum Keeps {
        /** Nobody said that its place is clear. */
        CLEAR,
        /** Its picture goes out. */
        ON_AIR
    }

    private Gate gate = Gate.SHUT;
    private boolean allowedOnAir;

    /** A camera that goes on air anew is asked for anew. */
    void now(Gate other) {
        allowedOnAir &= other.onAir();
        gate = other;
    }

    /** Whoever drives wants its picture to move while it goes out. */
    void allowOnAir() {
        allowedOnAir = gate.onAir();
    }

    Optional<Keeps> keeps() {
        if (!gate.clear()) {
            return Optional.of(Keeps.CLEAR);
        }
        return gate.onAir() && !allowedOnAir ? Optional.of(Keeps.ON_AIR) : Optional.empty();
    }
}
