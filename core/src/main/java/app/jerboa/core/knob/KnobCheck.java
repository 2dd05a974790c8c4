package app.jerboa.core.knob;

import app.jerboa.core.value.Reason;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Do the knobs and verbs of one device agree with each other and with what it speaks? */
public final class KnobCheck {
    private static final int MOST_BITS = 16;

    private final Map<String, Knob> knobs;
    private final Set<Tongue> spoken;
    private final boolean turnsOthers;
    private final BiConsumer<String, Reason> report;
    private final Set<String> names = new HashSet<>();

    private KnobCheck(
            Map<String, Knob> knobs,
            Set<Tongue> spoken,
            boolean turnsOthers,
            BiConsumer<String, Reason> report) {
        this.knobs = knobs;
        this.spoken = spoken;
        this.turnsOthers = turnsOthers;
        this.report = report;
    }

    /**
     * @param spoken what the device is told in at all
     * @param turnsOthers it is a panel: its knobs need not be said to it
     * @param report is told the place as a JSON pointer, and the reason
     */
    public static void of(
            List<Knob> knobs,
            List<Verb> verbs,
            Set<Tongue> spoken,
            boolean turnsOthers,
            BiConsumer<String, Reason> report) {
        Map<String, Knob> byName =
                knobs.stream()
                        .collect(Collectors.toMap(Knob::name, Function.identity(), (a, b) -> a));
        KnobCheck check = new KnobCheck(byName, spoken, turnsOthers, report);
        for (int i = 0; i < knobs.size(); i++) {
            check.knob(knobs.get(i), "/knobs/" + i);
        }
        for (int i = 0; i < verbs.size(); i++) {
            check.verb(verbs.get(i), "/verbs/" + i);
        }
    }

    /**
     * The request that asks, and where the value stands in what comes back.
     *
     * @param report is told the place as a JSON pointer, and the reason
     */
    public static void asked(TallyTold told, String at, BiConsumer<String, Reason> report) {
        KnobCheck check = new KnobCheck(Map.of(), Set.of(), false, report);
        told.reading()
                .ifPresent(
                        r -> {
                            check.call(r, at + "/reading");
                            check.insist(
                                    !PlaceCheck.hasValue(r),
                                    at + "/reading",
                                    Reason.of("profile.question-value"));
                        });
        check.found(told.found(), at + "/found");
    }

    private void insist(boolean holds, String at, Reason reason) {
        if (!holds) {
            report.accept(at, reason);
        }
    }

    private void knob(Knob knob, String at) {
        insist(names.add(knob.name()), at + "/name", Reason.of("profile.name-twice"));
        insist(knob.least() < knob.most(), at + "/most", Reason.of("profile.knob-room"));
        insist(
                knob.neutral().isEmpty() || knob.takes(knob.neutral().getAsInt()),
                at + "/neutral",
                Reason.of("profile.neutral"));
        insist(
                knob.effect().isEmpty() || !knob.unit().isEmpty(),
                at + "/unit",
                Reason.of("profile.effect-unit"));
        insist(
                knob.does().filter(d -> d == Does.READS).isEmpty(),
                at + "/does",
                Reason.of("profile.reads-only"));
        Set<String> called = new HashSet<>();
        for (int i = 0; i < knob.choices().size(); i++) {
            Choice choice = knob.choices().get(i);
            String place = at + "/choices/" + i;
            insist(called.add(choice.name()), place + "/name", Reason.of("profile.name-twice"));
            insist(
                    choice.value() >= knob.least() && choice.value() <= knob.most(),
                    place + "/value",
                    Reason.of("profile.outside-range"));
        }
        orientation(knob, at);
        only(knob.only(), knob.name(), at);
        insist(turnsOthers || !knob.said().isEmpty(), at + "/said", Reason.of("profile.untold"));
        for (int i = 0; i < knob.said().size(); i++) {
            saying(knob.said().get(i), Optional.of(knob), at + "/said/" + i);
        }
    }

    /** What turns axes round at the camera is asked for before a desk does. */
    private void orientation(Knob knob, String at) {
        if (knob.orients()) {
            insist(knob.readable(), at + "/readable", Reason.of("profile.turn-unread"));
            insist(
                    knobs.values().stream().filter(Knob::orients).count() == 1,
                    at + "/choices",
                    Reason.of("profile.one-orientation"));
        }
    }

    private void verb(Verb verb, String at) {
        insist(names.add(verb.name()), at + "/name", Reason.of("profile.name-twice"));
        only(verb.only(), verb.name(), at);
        insist(!verb.said().isEmpty(), at + "/said", Reason.of("profile.untold"));
        for (int i = 0; i < verb.said().size(); i++) {
            saying(verb.sayings().get(i), Optional.empty(), at + "/said/" + i);
        }
    }

    private void only(List<OnlyWhen> conditions, String of, String at) {
        for (int i = 0; i < conditions.size(); i++) {
            OnlyWhen one = conditions.get(i);
            Knob other = knobs.get(one.knob());
            String place = at + "/only/" + i;
            insist(
                    other != null && !one.knob().equals(of),
                    place + "/knob",
                    Reason.of("profile.no-other-knob"));
            insist(!one.in().isEmpty(), place + "/in", Reason.of("profile.no-choice"));
            if (other != null) {
                Set<String> there =
                        other.choices().stream().map(Choice::name).collect(Collectors.toSet());
                insist(
                        there.containsAll(one.in()),
                        place + "/in",
                        Reason.of("profile.no-such-choice"));
            }
        }
    }

    private void saying(Saying said, Optional<Knob> knob, String at) {
        insist(spoken.contains(said.in()), at + "/in", Reason.of("profile.not-spoken"));
        int ways =
                (said.message().isEmpty() ? 0 : 1)
                        + (said.frame().isEmpty() ? 0 : 1)
                        + (said.request().isPresent() ? 1 : 0)
                        + (said.key().isEmpty() ? 0 : 1);
        insist(ways == 1, at, Reason.of("profile.one-way-of-saying"));
        switch (said.in()) {
            case VISCA -> {
                insist(
                        said.request().isEmpty() && said.key().isEmpty(),
                        at,
                        Reason.of("profile.octets-or-message"));
                octets(said, knob, at);
            }
            case D_PROTOCOL -> {
                insist(!said.frame().isEmpty(), at + "/frame", Reason.of("profile.octets"));
                insist(
                        said.frame().isEmpty() || FrameShape.onBus(said.frame()),
                        at + "/frame",
                        Reason.of("profile.seven-octets"));
                insist(knob.isEmpty(), at, Reason.of("profile.bus-verb"));
            }
            case HTTP -> {
                insist(said.request().isPresent(), at + "/request", Reason.of("profile.request"));
                http(said, knob, at);
            }
            case PANEL_LINK ->
                    insist(!said.key().isEmpty(), at + "/key", Reason.of("profile.panel-key"));
        }
    }

    private void octets(Saying said, Optional<Knob> knob, String at) {
        if (said.frame().isEmpty()) {
            return;
        }
        insist(
                FrameShape.written(said.frame()) && FrameShape.toOneCamera(said.frame()),
                at + "/frame",
                Reason.of("profile.hex-pairs"));
        int bits = FrameShape.bits(said.frame());
        if (knob.isEmpty()) {
            insist(bits == 0, at + "/frame", Reason.of("profile.verb-value"));
            return;
        }
        insist(bits > 0 && bits <= MOST_BITS, at + "/frame", Reason.of("profile.value-places"));
        int low = knob.get().least() + said.offset();
        int high = knob.get().most() + said.offset();
        insist(
                bits == 0 || low >= 0 && high < 1 << bits,
                at + "/frame",
                Reason.of("profile.values-fit", "least", low, "most", high));
        if (knob.get().readable()) {
            insist(
                    FrameShape.written(said.ask()) && FrameShape.toOneCamera(said.ask()),
                    at + "/ask",
                    Reason.of("profile.question-frame"));
            insist(
                    FrameShape.written(said.answer())
                            && FrameShape.fromOneCamera(said.answer())
                            && FrameShape.bits(said.answer()) > 0,
                    at + "/answer",
                    Reason.of("profile.answer-frame"));
        }
    }

    private void http(Saying said, Optional<Knob> knob, String at) {
        said.request().ifPresent(r -> call(r, at + "/request"));
        said.request()
                .ifPresent(
                        r ->
                                insist(
                                        PlaceCheck.hasValue(r) == knob.isPresent(),
                                        at + "/request",
                                        knob.isPresent()
                                                ? Reason.of("profile.no-place")
                                                : Reason.of("profile.verb-value")));
        said.reading().ifPresent(r -> call(r, at + "/reading"));
        if (knob.filter(Knob::readable).isPresent()) {
            insist(
                    said.reading().isPresent(),
                    at + "/reading",
                    Reason.of("profile.question-request"));
            insist(said.found().isPresent(), at + "/found", Reason.of("profile.value-in-answer"));
        }
        said.found().ifPresent(f -> found(f, at + "/found"));
    }

    private void found(HttpAnswer found, String at) {
        insist(
                found.pointer().isEmpty() != found.pattern().isEmpty()
                        && (found.pointer().isEmpty() || found.pointer().startsWith("/")),
                at,
                Reason.of("profile.pointer-or-pattern"));
    }

    private void call(HttpCall call, String at) {
        PlaceCheck.path(call.path()).forEach(w -> insist(false, at + "/path", w));
        PlaceCheck.places(call.body()).forEach(w -> insist(false, at + "/body", w));
        insist(
                call.method() == HttpMethod.POST || call.kind() == BodyKind.NONE,
                at + "/kind",
                Reason.of("profile.get-body"));
        insist(
                (call.kind() == BodyKind.NONE) == call.body().isEmpty(),
                at + "/body",
                Reason.of("profile.body-kind"));
    }
}
