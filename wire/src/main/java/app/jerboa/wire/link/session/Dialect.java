package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;

/**
 * How requests and their replies stand in datagrams, and how long one waits for a reply. What a
 * {@link Session} must know of a protocol, and all that it knows.
 *
 * @param <Q> a request
 * @param <A> a reply
 */
interface Dialect<Q, A> {
    /** How many sequence numbers there are; the session counts from 1 and wraps to 0. */
    long sequences();

    /**
     * @param sequence of the request; a dialect without numbers on the wire leaves it out
     */
    Octets encode(Q request, long sequence);

    /** What came in. */
    Heard<A> read(Octets datagram);

    /** This reply is what that request waits for. */
    boolean settles(Q request, A reply);

    /** It is answered at all; one that is not is done with when it went out as often as it may. */
    default boolean answered(Q request) {
        return true;
    }

    /** It must really go out as often as it may: what could not be sent does not count. */
    default boolean owed(Q request) {
        return false;
    }

    /** The device has no room for it just now: it is sent again, like one that was lost. */
    default boolean busy(A reply) {
        return false;
    }

    /** It asks and changes nothing, so that it may be asked again. */
    boolean asks(Q request);

    /** What a request counts as when its resend was refused because the first was received. */
    A received();

    /** How often a request is sent, the first time included. */
    int tries(Q request);

    /** How long its answer is waited for before it is sent again. */
    int millisToResend(Q request, int sent);

    /** What a request is called in the wire log. */
    String words(Q request);

    /** What a datagram says by itself. */
    String words(Octets datagram);

    /** What it says to the request that it answers. */
    default String words(Q request, Octets datagram) {
        return words(datagram);
    }
}
