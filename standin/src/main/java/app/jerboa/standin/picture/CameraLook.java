package app.jerboa.standin.picture;

import app.jerboa.core.colour.PaintChange;
import app.jerboa.core.colour.PaintKnob;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.standin.device.KnobBank;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a camera makes of colours, by its knobs as they stand and as they truly act. */
final class CameraLook {
    private static final String GAIN = PaintKnob.Does.GAIN.word();

    private CameraLook() {}

    static PaintChange of(KnobBank bank) {
        List<PaintKnob> knobs = new ArrayList<>();
        List<Integer> steps = new ArrayList<>();
        for (Knob k : bank.profile().knobs()) {
            Optional<PaintKnob.Does> what = does(k.name());
            if (what.isPresent() && acts(bank, k)) {
                int neutral = neutral(k);
                double effect = bank.trueEffect(k.name());
                knobs.add(new PaintKnob(k.name(), what.get(), 0, 0, 0, effect));
                steps.add(bank.value(k.name()).orElse(neutral) - neutral);
            }
        }
        return new PaintChange(knobs, steps.stream().mapToInt(Integer::intValue).toArray());
    }

    private static Optional<PaintKnob.Does> does(String knob) {
        String word = knob.replace(' ', '-');
        return Arrays.stream(PaintKnob.Does.values())
                .filter(d -> d.word().equals(word))
                .findFirst();
    }

    /** What its amplifier adds to a dim picture; 0 while an automatic has it. */
    static double gainDb(KnobBank bank) {
        return bank.profile()
                .knob(GAIN)
                .filter(k -> acts(bank, k))
                .map(k -> bank.trueEffect(GAIN) * (bank.value(GAIN).orElse(0) - neutral(k)))
                .orElse(0.0);
    }

    /** One without a place where it changes nothing is right in the middle of its run. */
    static int neutral(Knob k) {
        return k.neutral().orElse((k.least() + k.most()) / 2);
    }

    /** One that an automatic has overruled changes nothing. */
    static boolean acts(KnobBank bank, Knob knob) {
        return knob.only().stream().allMatch(o -> stands(bank, o));
    }

    private static boolean stands(KnobBank bank, OnlyWhen only) {
        return bank.profile().knobs().stream()
                .filter(k -> k.name().equals(only.knob()))
                .allMatch(
                        k ->
                                only.in()
                                        .contains(
                                                k.valueWords(
                                                        bank.value(k.name()).orElse(k.least()))));
    }
}
