package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A whole frame that a profile states, as it goes to one head.
 *
 * @param frame with address and end mark or sum; a link puts its own number in
 * @param answerOctets of the payload that answers it; empty for what is only obeyed
 * @param called what it does, for the wire log; empty where the octets say so themselves
 */
public record ProfileFrame(Octets frame, OptionalInt answerOctets, Optional<String> called) {
    public static ProfileFrame order(Octets frame, Optional<String> called) {
        return new ProfileFrame(frame, OptionalInt.empty(), called);
    }

    public static ProfileFrame question(Octets frame, int answerOctets, Optional<String> called) {
        return new ProfileFrame(frame, OptionalInt.of(answerOctets), called);
    }
}
