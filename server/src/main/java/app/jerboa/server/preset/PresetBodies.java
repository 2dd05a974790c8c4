package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetCaller;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.knob.Choice;
import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.core.preset.RowTime;
import app.jerboa.core.profile.PresetCall;
import app.jerboa.core.profile.PresetPart;
import app.jerboa.core.profile.Presets;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** Presets as the pages show them. */
final class PresetBodies {
    private static final double HUNDREDTHS = 100;

    /**
     * From the picture of a view until its storing is noted, at most: a row is noted in the end.
     */
    private static final Duration STORING = Duration.ofMinutes(30);

    private PresetBodies() {}

    /**
     * The views of one camera.
     *
     * @param count how many it can keep, numbered from 0 in the camera
     * @param namedBy the controller that gives them the names shown; blank for none
     * @param first as that calls number 0
     * @param bankOf it calls them in banks of so many; empty for one run of numbers
     * @param reach so many of them have a key there
     * @param callers what each controller that has the camera on a key makes of them, in words
     * @param kept where they live and what loses them, in words
     * @param reserved numbers that call a function instead
     * @param keptIn camera, controller or software
     * @param rowSeconds about how long a program takes to go to each that was read
     * @param stores parts in words, for example {@code white balance}
     */
    record PresetRow(
            long device,
            String camera,
            int line,
            int count,
            String namedBy,
            int first,
            Optional<Integer> bankOf,
            int reach,
            List<String> callers,
            String kept,
            List<Integer> reserved,
            String keptIn,
            List<String> stores,
            double rowSeconds,
            List<PresetBody> presets) {}

    /**
     * One view.
     *
     * @param called as the controller does that names them; blank where it has no key for it
     * @param pan degrees right of the middle where it was stored; empty when it was only noted
     * @param at ISO 8601, blank when it was only noted; {@code by} alike
     * @param still when a picture was taken of it, in milliseconds of 1970; empty for none
     * @param stored parts that come back, in words
     * @param lost parts that do not
     */
    record PresetBody(
            long id,
            int number,
            String called,
            String name,
            String subject,
            String note,
            Optional<Double> pan,
            Optional<Double> tilt,
            Optional<Integer> zoom,
            String at,
            String by,
            Optional<Long> still,
            List<String> stored,
            List<LostPart> lost) {}

    /**
     * A part that does not come back.
     *
     * @param why one sentence
     * @param knob to turn so that it can be stored; blank for none
     * @param to its value
     */
    record LostPart(String part, String why, String knob, Optional<Integer> to) {}

    /**
     * @param name may be blank, as {@code note}
     */
    record StoreBody(String name, String note) {}

    static PresetRow row(
            PresetNumbering numbers,
            Line line,
            Device camera,
            Presets can,
            List<Preset> presets,
            Map<Integer, Long> stills) {
        Optional<PresetCaller> namedBy = numbers.namedBy(camera.id());
        Optional<Presets> calls = namedBy.flatMap(PresetCaller::presets);
        return new PresetRow(
                camera.id().value(),
                camera.name(),
                line.number(),
                can.count(),
                namedBy.map(c -> c.controller().name()).orElse(""),
                calls.map(Presets::countsFrom).orElse(0),
                calls.map(Presets::bankOf)
                        .filter(OptionalInt::isPresent)
                        .map(OptionalInt::getAsInt),
                calls.map(c -> Math.min(can.count(), c.count())).orElse(can.count()),
                numbers.callers(camera.id()).stream().map(c -> words(c, camera)).toList(),
                Words.say("preset.kept." + can.keptIn()),
                can.reserved(),
                can.keptIn().toString(),
                can.store().stream().map(PresetBodies::part).toList(),
                RowTime.seconds(
                        camera.profile().head().orElseThrow(),
                        presets.stream().filter(p -> p.kept().pan().isPresent()).toList()),
                presets.stream()
                        .map(
                                p ->
                                        body(
                                                camera.profile(),
                                                p,
                                                numbers.called(camera.id(), p.number()),
                                                Optional.ofNullable(stills.get(p.number()))))
                        .toList());
    }

    /** What a controller makes of the views of a camera that it has on a key. */
    static String words(PresetCaller caller, Device camera) {
        Map<String, String> facts =
                Map.of(
                        "controller",
                        caller.controller().name(),
                        "camera",
                        camera.name(),
                        "first",
                        caller.call(0).map(PresetCall::toString).orElse("0"),
                        "last",
                        caller.presets()
                                .flatMap(p -> caller.call(p.count() - 1))
                                .map(PresetCall::toString)
                                .orElse(""));
        return switch (caller.how()) {
            case CALLS ->
                    caller.presets().isPresent()
                            ? Words.say("preset.calls", facts)
                            : Words.say("preset.calls-somehow", facts);
            case KEEPS_ITS_OWN -> Words.say("preset.own-views", facts);
            case NOT_CARRIED -> Words.say("preset.not-carried", facts);
        };
    }

    private static PresetBody body(Profile profile, Preset p, String called, Optional<Long> still) {
        List<PresetHolds> parts = PresetHolds.of(profile, PresetKnobs.read(p.kept().knobs()));
        return new PresetBody(
                p.id(),
                p.number(),
                called,
                p.name(),
                p.subject(),
                p.note(),
                degrees(p.kept().pan()),
                degrees(p.kept().tilt()),
                p.kept().zoom().isPresent()
                        ? Optional.of(p.kept().zoom().getAsInt())
                        : Optional.empty(),
                p.kept().at(),
                p.kept().by(),
                still.filter(taken -> atStoring(p, taken)),
                parts.stream()
                        .filter(h -> h.how() == PresetHolds.How.STORED)
                        .map(h -> part(h.part()))
                        .toList(),
                parts.stream()
                        .filter(h -> h.how() != PresetHolds.How.STORED)
                        .map(h -> lost(profile, h))
                        .toList());
    }

    /** Pictures go by number; one of before the view got its number shows something else. */
    private static boolean atStoring(Preset p, long taken) {
        try {
            Instant at = Instant.parse(p.kept().at());
            Duration apart = Duration.between(Instant.ofEpochMilli(taken), at).abs();
            return apart.compareTo(STORING) < 0;
        } catch (DateTimeParseException noTime) {
            return false;
        }
    }

    private static Optional<Double> degrees(OptionalInt hundredths) {
        return hundredths.isPresent()
                ? Optional.of(hundredths.getAsInt() / HUNDREDTHS)
                : Optional.empty();
    }

    private static LostPart lost(Profile profile, PresetHolds holds) {
        String part = part(holds.part());
        return holds.remedy()
                .map(
                        r ->
                                new LostPart(
                                        part,
                                        Words.say(
                                                "preset.automatic",
                                                Map.of(
                                                        "part", part,
                                                        "knob", r.knob(),
                                                        "to", r.to())),
                                        r.knob(),
                                        value(profile, r)))
                .orElseGet(
                        () ->
                                new LostPart(
                                        part,
                                        Words.say("preset.not-kept", Map.of("part", part)),
                                        "",
                                        Optional.empty()));
    }

    private static Optional<Integer> value(Profile profile, PresetHolds.Remedy remedy) {
        return profile.knobs().stream()
                .filter(k -> k.name().equals(remedy.knob()))
                .flatMap(k -> k.choices().stream())
                .filter(c -> c.name().equals(remedy.to()))
                .map(Choice::value)
                .findFirst();
    }

    private static String part(PresetPart part) {
        return Words.say("preset.part." + part);
    }
}
