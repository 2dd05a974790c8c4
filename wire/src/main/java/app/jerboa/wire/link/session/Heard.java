package app.jerboa.wire.link.session;

import java.util.Optional;

/** What a datagram turned out to be. */
sealed interface Heard<A> {
    /** A reply; without a sequence it belongs to the oldest request it can be an answer to. */
    record Reply<A>(A reply, Optional<Long> sequence) implements Heard<A> {}

    /** The number of a request was not the one that was expected. */
    record NumberRefused<A>(long sequence) implements Heard<A> {}

    /** A request could not be read. */
    record NotReadable<A>(long sequence) implements Heard<A> {}

    /** Nothing that a request waits for. */
    record Other<A>() implements Heard<A> {}
}
