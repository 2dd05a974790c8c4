package app.jerboa.wire.link.line;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.List;

/** What a shared line must know of the frames on it. */
interface LineProtocol {
    /**
     * How a frame waits for its turn.
     *
     * @param replaces what it takes the place of in the queue: the older drive of the same head
     * @param first it goes before all and waits for nothing
     * @param asks it changes nothing
     * @param answered the next frame waits until this one is answered
     * @param octets on the wire until the next may follow, its answers counted
     */
    record Turn(Object replaces, boolean first, boolean asks, boolean answered, int octets) {}

    Turn turn(Octets frame);

    /** Finds frames in what comes in; keeps what is not whole yet. */
    interface Cutter {
        List<Decoded<Octets>> cut(byte[] chunk);
    }

    Cutter cutter();

    /** The device that a frame comes from; 0 for all, -1 for a frame that no device sends. */
    int from(Octets frame);

    /** Whoever it comes from, it concerns every device of the line. */
    default boolean concernsAll(Octets frame) {
        return false;
    }

    /** With this heard, what was sent is done with. */
    boolean ends(Octets sent, Octets heard);
}
