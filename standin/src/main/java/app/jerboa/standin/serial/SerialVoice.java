package app.jerboa.standin.serial;

import app.jerboa.wire.octets.Octets;
import java.util.function.Consumer;

/** A device as it hears and talks on a serial line. */
public interface SerialVoice {
    /**
     * @param talk towards the one that drives the line
     * @return what it hands on at its OUT; everything that is not for it alone
     */
    Octets hear(Octets chunk, Consumer<Octets> talk);

    /** What it says by itself when it comes up on a line that is in use; empty for nothing. */
    default Octets joins() {
        return Octets.of();
    }
}
