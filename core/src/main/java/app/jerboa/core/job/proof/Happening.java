package app.jerboa.core.job.proof;

import app.jerboa.core.value.Kebab;
import java.util.Arrays;
import java.util.Optional;

/** After these nothing that was known of a device holds, for good. */
public enum Happening {
    /** Another device of its kind stands in its place. */
    SWAP(true),
    RESET(true),
    /** It may put the old address back. */
    UPDATE(false),
    KNOCK(false);

    private final boolean moves;
    private final String wire = Kebab.of(this);

    Happening(boolean moves) {
        this.moves = moves;
    }

    /** It answers where it left the factory again. */
    public boolean moves() {
        return moves;
    }

    public String wire() {
        return wire;
    }

    public static Optional<Happening> fromWire(String word) {
        return Arrays.stream(values()).filter(h -> h.wire.equals(word)).findFirst();
    }
}
