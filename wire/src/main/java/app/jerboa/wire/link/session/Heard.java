package app.jerboa.wire.link.session;

import java.util.Optional;

/** What a datagram turned out to be, with its meaning for the wire log. */
sealed interface Heard<A> {
    String words();

    /** A reply; without a sequence it belongs to the oldest request it can be an answer to. */
    record Reply<A>(A reply, Optional<Long> sequence, String words) implements Heard<A> {}

    /** The number of a request was not the one that was expected. */
    record NumberRefused<A>(long sequence, String words) implements Heard<A> {}

    /** A request could not be read. */
    record NotReadable<A>(long sequence, String words) implements Heard<A> {}

    /** Nothing that a request waits for. */
    record Other<A>(String words) implements Heard<A> {}
}
