package app.jerboa.wire.link.session;

import java.util.Optional;
import java.util.function.Supplier;

/** What a datagram turned out to be, with what makes the words of it for the wire log. */
sealed interface Heard<A> {
    Supplier<String> words();

    /** A reply; without a sequence it belongs to the oldest request it can be an answer to. */
    record Reply<A>(A reply, Optional<Long> sequence, Supplier<String> words) implements Heard<A> {}

    /** The number of a request was not the one that was expected. */
    record NumberRefused<A>(long sequence, Supplier<String> words) implements Heard<A> {}

    /** A request could not be read. */
    record NotReadable<A>(long sequence, Supplier<String> words) implements Heard<A> {}

    /** Nothing that a request waits for. */
    record Other<A>(Supplier<String> words) implements Heard<A> {}
}
