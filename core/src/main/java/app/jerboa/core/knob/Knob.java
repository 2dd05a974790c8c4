package app.jerboa.core.knob;

import app.jerboa.core.value.Fact;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A value of a device that can be turned in whole steps, and mostly be read back.
 *
 * @param least and {@code most}: both can be set
 * @param neutral where it changes nothing; empty where there is no such place
 * @param unit of the effect of a step: dB, stops, % ...
 * @param effect of one step up, signed; empty where it is not known or has none
 * @param does empty for one that just sets
 * @param choices its values by name; empty for one that runs from least to most
 * @param only how other knobs must stand for this one to act
 * @param said in each language; a knob that a panel turns at others has none
 */
public record Knob(
        @Fact(value = "Knob", shortest = 1, longest = 40) String name,
        @Fact("For") KnobUse use,
        @Fact(value = "Least", least = -32768, most = 65535) int least,
        @Fact(value = "Most", least = -32768, most = 65535) int most,
        @Fact(value = "Neutral", least = -32768, most = 65535) OptionalInt neutral,
        @Fact(value = "Unit of its effect", longest = 20) String unit,
        @Fact(value = "Effect of a step up", least = -1000, most = 1000) OptionalDouble effect,
        @Fact("Can be read back") boolean readable,
        @Fact("Turning it") Optional<Does> does,
        @Fact("Choices") List<Choice> choices,
        @Fact("Works only while") List<OnlyWhen> only,
        @Fact("How it is said") List<Saying> said) {

    /** Between its ends, and one of its choices where it has some. */
    public boolean takes(int value) {
        return value >= least
                && value <= most
                && (choices.isEmpty() || choices.stream().anyMatch(c -> c.value() == value));
    }

    public Optional<Choice> choice(int value) {
        return choices.stream().filter(c -> c.value() == value).findFirst();
    }

    /** Axes that its camera turns round itself while it stands there; empty for none. */
    public Optional<TurnedRound> turns(int value) {
        return choice(value).flatMap(Choice::turns);
    }

    /** It says how the camera hangs: one of its choices turns axes round. */
    public boolean orients() {
        return choices.stream().anyMatch(c -> c.turns().isPresent());
    }

    /** What turning it does. */
    public Does doing() {
        return does.orElse(Does.SETS);
    }

    /** With its name where it has one, for example {@code manual}. */
    public String valueWords(int value) {
        return choice(value).map(Choice::name).orElse(Integer.toString(value));
    }
}
