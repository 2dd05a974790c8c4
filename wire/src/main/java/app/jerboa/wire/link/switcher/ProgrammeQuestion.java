package app.jerboa.wire.link.switcher;

import app.jerboa.wire.http.AnswerShape;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a switcher is asked what is on programme, and where its answer says so.
 *
 * @param line that asks, without its end
 * @param shape of the answer
 * @param moreBy what it calls the input 1 is so much more
 */
public record ProgrammeQuestion(String line, AnswerShape shape, int moreBy) {
    private static final int MOST_DIGITS = 5;

    /** The input, counted from 1; empty for a text that says nothing of it. */
    public OptionalInt programme(String answer) {
        Optional<String> found = shape.read(answer).toOptional();
        return found.filter(t -> t.matches("[0-9]{1," + MOST_DIGITS + "}"))
                .map(t -> OptionalInt.of(Integer.parseInt(t) - moreBy))
                .orElse(OptionalInt.empty());
    }
}
