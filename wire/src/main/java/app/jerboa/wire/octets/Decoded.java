package app.jerboa.wire.octets;

import java.util.Optional;
import java.util.function.Function;

/** What octets turned out to be: a value, or a reason why not. Bad octets are normal on a wire. */
public sealed interface Decoded<T> {
    /** They decode. */
    record Accepted<T>(T value) implements Decoded<T> {}

    /** They do not, and why. */
    record Rejected<T>(Octets octets, String reason) implements Decoded<T> {}

    static <T> Decoded<T> accepted(T value) {
        return new Accepted<>(value);
    }

    static <T> Decoded<T> rejected(Octets octets, String reason) {
        return new Rejected<>(octets, reason);
    }

    default Optional<T> toOptional() {
        return this instanceof Accepted<T> it ? Optional.of(it.value()) : Optional.empty();
    }

    /** Why it was rejected; empty when it was not. */
    default String reason() {
        return this instanceof Rejected<T> it ? it.reason() : "";
    }

    default <R> Decoded<R> flatMap(Function<T, Decoded<R>> next) {
        if (this instanceof Rejected<T> it) {
            return rejected(it.octets(), it.reason());
        }
        return next.apply(toOptional().orElseThrow());
    }
}
