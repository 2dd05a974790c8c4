package app.jerboa.core.knob;

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
    private final BiConsumer<String, String> report;
    private final Set<String> names = new HashSet<>();

    private KnobCheck(
            Map<String, Knob> knobs,
            Set<Tongue> spoken,
            boolean turnsOthers,
            BiConsumer<String, String> report) {
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
            BiConsumer<String, String> report) {
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
    public static void asked(TallyTold told, String at, BiConsumer<String, String> report) {
        KnobCheck check = new KnobCheck(Map.of(), Set.of(), false, report);
        told.reading()
                .ifPresent(
                        r -> {
                            check.call(r, at + "/reading");
                            check.insist(
                                    !PlaceCheck.hasValue(r),
                                    at + "/reading",
                                    "a question has no value to put there");
                        });
        check.found(told.found(), at + "/found");
    }

    private void insist(boolean holds, String at, String reason) {
        if (!holds) {
            report.accept(at, reason);
        }
    }

    private void knob(Knob knob, String at) {
        insist(names.add(knob.name()), at + "/name", "there is another one of this name");
        insist(knob.least() < knob.most(), at + "/most", "a knob needs room to turn");
        insist(
                knob.neutral().isEmpty() || knob.takes(knob.neutral().getAsInt()),
                at + "/neutral",
                "not one of its values");
        insist(
                knob.effect().isEmpty() || !knob.unit().isEmpty(),
                at + "/unit",
                "an effect needs its unit");
        insist(
                knob.does().filter(d -> d == Does.READS).isEmpty(),
                at + "/does",
                "turning something is more than reading");
        Set<String> called = new HashSet<>();
        for (int i = 0; i < knob.choices().size(); i++) {
            Choice choice = knob.choices().get(i);
            String place = at + "/choices/" + i;
            insist(called.add(choice.name()), place + "/name", "there is another one of this name");
            insist(
                    choice.value() >= knob.least() && choice.value() <= knob.most(),
                    place + "/value",
                    "not between least and most");
        }
        orientation(knob, at);
        only(knob.only(), knob.name(), at);
        insist(turnsOthers || !knob.said().isEmpty(), at + "/said", "nothing says how it is told");
        for (int i = 0; i < knob.said().size(); i++) {
            saying(knob.said().get(i), Optional.of(knob), at + "/said/" + i);
        }
    }

    /** What turns axes round at the camera is asked for before a desk does. */
    private void orientation(Knob knob, String at) {
        if (knob.orients()) {
            insist(knob.readable(), at + "/readable", "what turns axes round must be read back");
            insist(
                    knobs.values().stream().filter(Knob::orients).count() == 1,
                    at + "/choices",
                    "one knob alone says how it hangs");
        }
    }

    private void verb(Verb verb, String at) {
        insist(names.add(verb.name()), at + "/name", "there is another one of this name");
        only(verb.only(), verb.name(), at);
        insist(!verb.said().isEmpty(), at + "/said", "nothing says how it is told");
        for (int i = 0; i < verb.said().size(); i++) {
            saying(verb.sayings().get(i), Optional.empty(), at + "/said/" + i);
        }
    }

    private void only(List<OnlyWhen> conditions, String of, String at) {
        for (int i = 0; i < conditions.size(); i++) {
            OnlyWhen one = conditions.get(i);
            Knob other = knobs.get(one.knob());
            String place = at + "/only/" + i;
            insist(other != null && !one.knob().equals(of), place + "/knob", "no other knob of it");
            insist(!one.in().isEmpty(), place + "/in", "at least one of its choices");
            if (other != null) {
                Set<String> there =
                        other.choices().stream().map(Choice::name).collect(Collectors.toSet());
                insist(there.containsAll(one.in()), place + "/in", "no such choice of it");
            }
        }
    }

    private void saying(Saying said, Optional<Knob> knob, String at) {
        insist(spoken.contains(said.in()), at + "/in", "the device does not speak it");
        int ways =
                (said.message().isEmpty() ? 0 : 1)
                        + (said.frame().isEmpty() ? 0 : 1)
                        + (said.request().isPresent() ? 1 : 0)
                        + (said.key().isEmpty() ? 0 : 1);
        insist(ways == 1, at, "exactly one of message, octets, request or key says it");
        switch (said.in()) {
            case VISCA -> {
                insist(said.request().isEmpty() && said.key().isEmpty(), at, "octets or a message");
                octets(said, knob, at);
            }
            case D_PROTOCOL -> {
                insist(!said.frame().isEmpty(), at + "/frame", "the octets that say it");
                insist(
                        said.frame().isEmpty() || FrameShape.onBus(said.frame()),
                        at + "/frame",
                        "seven octets: FF aa, four of the message, ss");
                insist(knob.isEmpty(), at, "nothing is read back on the bus: make it a verb");
            }
            case HTTP -> {
                insist(said.request().isPresent(), at + "/request", "the request that says it");
                http(said, knob, at);
            }
            case PANEL_LINK ->
                    insist(!said.key().isEmpty(), at + "/key", "the key that it goes by");
        }
    }

    private void octets(Saying said, Optional<Knob> knob, String at) {
        if (said.frame().isEmpty()) {
            return;
        }
        insist(
                FrameShape.written(said.frame()) && FrameShape.toOneCamera(said.frame()),
                at + "/frame",
                "pairs from 8x to FF, for example 8x 01 04 4B 00 00 0p 0p FF");
        int bits = FrameShape.bits(said.frame());
        if (knob.isEmpty()) {
            insist(bits == 0, at + "/frame", "a verb has no value to put there");
            return;
        }
        insist(bits > 0 && bits <= MOST_BITS, at + "/frame", "one to four places p for the value");
        int low = knob.get().least() + said.offset();
        int high = knob.get().most() + said.offset();
        insist(
                bits == 0 || low >= 0 && high < 1 << bits,
                at + "/frame",
                "its values, " + low + " to " + high + ", do not fit its places");
        if (knob.get().readable()) {
            insist(
                    FrameShape.written(said.ask()) && FrameShape.toOneCamera(said.ask()),
                    at + "/ask",
                    "what can be read back needs its question, 8x 09 to FF");
            insist(
                    FrameShape.written(said.answer())
                            && FrameShape.fromOneCamera(said.answer())
                            && FrameShape.bits(said.answer()) > 0,
                    at + "/answer",
                    "the answer runs from y0 50 to FF and holds the value in places p");
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
                                                ? "no {value} or {word} in it"
                                                : "a verb has no value to put there"));
        said.reading().ifPresent(r -> call(r, at + "/reading"));
        if (knob.filter(Knob::readable).isPresent()) {
            insist(
                    said.reading().isPresent(),
                    at + "/reading",
                    "what can be read back needs the request that asks");
            insist(said.found().isPresent(), at + "/found", "where the value stands in the answer");
        }
        said.found().ifPresent(f -> found(f, at + "/found"));
    }

    private void found(HttpAnswer found, String at) {
        insist(
                found.pointer().isEmpty() != found.pattern().isEmpty()
                        && (found.pointer().isEmpty() || found.pointer().startsWith("/")),
                at,
                "a JSON pointer like /picture/iris, or a pattern");
    }

    private void call(HttpCall call, String at) {
        PlaceCheck.path(call.path()).forEach(w -> insist(false, at + "/path", w));
        PlaceCheck.places(call.body()).forEach(w -> insist(false, at + "/body", w));
        insist(
                call.method() == HttpMethod.POST || call.kind() == BodyKind.NONE,
                at + "/kind",
                "a GET carries no body");
        insist(
                (call.kind() == BodyKind.NONE) == call.body().isEmpty(),
                at + "/body",
                "a body and its kind go together");
    }
}
