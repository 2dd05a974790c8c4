package app.jerboa.standin.device;

import java.util.OptionalInt;

/**
 * How cameras of different makes differ in VISCA over UDP with a header.
 *
 * @param refusesRepeats a repeated number is answered with "wrong number" and not with the same
 *     answer again
 * @param answersTo the port of the asker that all answers go to, whatever port asked; empty for the
 *     one that asked
 */
public record Habits(boolean refusesRepeats, OptionalInt answersTo) {
    public static final Habits USUAL = new Habits(false, OptionalInt.empty());
}
