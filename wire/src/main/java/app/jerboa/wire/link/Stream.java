package app.jerboa.wire.link;

/**
 * Octets in a row, without frames: a TCP connection or a serial port, opened again when it ends.
 */
public interface Stream extends Transport {
    /** Called each time it is open anew, on a thread of the stream: it must return at once. */
    Subscription onOpen(Runnable opened);
}
