package app.jerboa.server.knobs;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What the routes of knobs and verbs take and give. */
final class KnobBodies {
    private KnobBodies() {}

    /**
     * @param turns axes that the camera turns round itself then: pan, tilt or both; else empty
     */
    record KnobChoice(String name, int value, String turns) {}

    /**
     * @param use lens, paint or camera
     * @param effect of a step up, in {@code unit}; null where it has none
     * @param does what turning it does
     * @param only what must hold for it to act, in words, each
     * @param in the language it is said in here; empty when there is no way
     */
    record KnobBody(
            String name,
            String use,
            int least,
            int most,
            OptionalInt neutral,
            String unit,
            OptionalDouble effect,
            boolean readable,
            String does,
            List<KnobChoice> choices,
            List<KnobCondition> only,
            String in) {}

    /** Another knob must stand at one of these choices. */
    record KnobCondition(String knob, List<String> in) {}

    /**
     * @param grave it restarts, erases or powers: it is asked for each time
     * @param approved a lead has approved it, or none is needed
     */
    record VerbBody(
            String name,
            String does,
            boolean grave,
            boolean approved,
            List<KnobCondition> only,
            String in) {}

    /** What one device can be told. */
    record ToldView(
            long device,
            String name,
            List<KnobBody> knobs,
            List<VerbBody> verbs,
            List<String> needs) {}

    /**
     * @param pressed somebody asks for it just now: a password that was refused is tried once more
     */
    record ReadBody(List<Long> devices, boolean pressed) {}

    /**
     * @param value null when it could not be read
     * @param trouble why, in a sentence; else empty
     * @param code of the trouble; else empty
     */
    record ReadingBody(OptionalInt value, String trouble, String code) {}

    record DeviceReadings(long device, Map<String, ReadingBody> knobs) {}

    record TurnBody(String knob, int value, boolean confirmed) {}

    record VerbTold(String verb, boolean confirmed) {}

    /** Words of what happened. */
    record Told(String words) {}

    /**
     * One knob with its value, or one verb.
     *
     * @param name of either
     * @param value null for a verb
     */
    record SayBody(String name, OptionalInt value) {}

    /** Exactly what goes out. */
    record SayView(String in, String sent, String does, boolean grave, boolean approved) {}

    /**
     * @param pointer a JSON pointer; empty for a pattern
     */
    record TryBody(String pointer, String pattern, String answer) {}

    /**
     * @param value as the answer writes it; empty when it was not found
     * @param reason why; else empty
     */
    record TryView(String value, String reason) {}
}
