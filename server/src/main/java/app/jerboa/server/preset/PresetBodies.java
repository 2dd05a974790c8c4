package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Preset;
import app.jerboa.core.knob.Choice;
import app.jerboa.core.preset.PresetHolds;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.core.preset.RowTime;
import app.jerboa.core.profile.PresetPart;
import app.jerboa.core.profile.Presets;
import app.jerboa.core.profile.Profile;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Presets as the pages show them. */
final class PresetBodies {
    private static final double HUNDREDTHS = 100;

    private PresetBodies() {}

    /**
     * The views of one camera.
     *
     * @param count how many it can keep, numbered from 0
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
            List<Integer> reserved,
            String keptIn,
            List<String> stores,
            double rowSeconds,
            List<PresetBody> presets) {}

    /**
     * One view.
     *
     * @param pan degrees right of the middle where it was stored; empty when it was only noted
     * @param at ISO 8601, blank when it was only noted; {@code by} alike
     * @param still when a picture was taken of it, in milliseconds of 1970; empty for none
     * @param stored parts that come back, in words
     * @param lost parts that do not
     */
    record PresetBody(
            long id,
            int number,
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
            Line line,
            Device camera,
            Presets can,
            List<Preset> presets,
            Map<Integer, Long> stills) {
        return new PresetRow(
                camera.id().value(),
                camera.name(),
                line.number(),
                can.count(),
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
                                                Optional.ofNullable(stills.get(p.number()))))
                        .toList());
    }

    private static PresetBody body(Profile profile, Preset p, Optional<Long> still) {
        List<PresetHolds> parts = PresetHolds.of(profile, PresetKnobs.read(p.kept().knobs()));
        return new PresetBody(
                p.id(),
                p.number(),
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
                still,
                parts.stream()
                        .filter(h -> h.how() == PresetHolds.How.STORED)
                        .map(h -> part(h.part()))
                        .toList(),
                parts.stream()
                        .filter(h -> h.how() != PresetHolds.How.STORED)
                        .map(h -> lost(profile, h))
                        .toList());
    }

    private static Optional<Double> degrees(java.util.OptionalInt hundredths) {
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
