package app.jerboa.server.lines;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.RouteNeed;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Sort;
import app.jerboa.server.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/** Control routes in sentences. */
final class RouteWords {
    private RouteWords() {}

    static String protocol(Protocol protocol) {
        return Words.say("protocol." + protocol.name());
    }

    static String over(ControlRoute r) {
        String first = Words.say("over." + r.sends().over().name());
        String last = Words.say("over." + r.answers().over().name());
        return first.equals(last)
                ? first
                : Words.say("over.then", Map.of("first", first, "last", last));
    }

    static String why(ControlRoute r, boolean planned, boolean recorders) {
        List<String> reasons = new ArrayList<>();
        if (r.chosen()) {
            reasons.add(Words.say("why.chosen"));
        }
        if (r.key().isPresent()) {
            reasons.add(Words.say("why.key", Map.of("key", text(r.key()))));
        } else if (!r.needs().contains(RouteNeed.KEY)) {
            reasons.add(Words.say("why.no-key"));
        }
        boolean recorded = r.through().stream().anyMatch(d -> d.profile().sort() == Sort.RECORDER);
        if (recorded && recorders) {
            reasons.add(Words.say("why.recorder"));
        }
        reasons.add(
                r.through().isEmpty()
                        ? Words.say("why.direct")
                        : Words.say("why.through", Map.of("devices", names(r))));
        reasons.add(Words.say(r.answers().twoWay() ? "why.two-way" : "why.one-way"));
        String text = String.join(", ", reasons);
        return planned
                ? Words.say("why.planned", Map.of("reasons", text))
                : Words.say(
                        "why.other",
                        Map.of(
                                "reasons",
                                text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1)));
    }

    private static String text(OptionalInt number) {
        return number.isPresent() ? Integer.toString(number.getAsInt()) : "";
    }

    static String names(ControlRoute r) {
        return r.through().stream().map(Device::name).collect(Collectors.joining(", "));
    }

    static List<String> needs(ControlRoute r, Device camera) {
        return r.needs().stream().map(n -> need(n, r, camera)).toList();
    }

    private static String need(RouteNeed need, ControlRoute r, Device camera) {
        Optional<String> remote =
                camera.profile().access().map(Access::remoteAt).filter(w -> !w.isEmpty());
        String option =
                camera.profile()
                        .network()
                        .map(Network::needs)
                        .filter(n -> !n.isEmpty())
                        .orElseGet(() -> Words.say("need.OPTION.unknown"));
        String key =
                need == RouteNeed.REMOTE_ON && remote.isEmpty() ? "REMOTE_ON.login" : need.name();
        return Words.say(
                "need." + key,
                Map.of(
                        "camera", camera.name(),
                        "controller", r.by().name(),
                        "devices", names(r),
                        "option", option,
                        "at", remote.orElse(""),
                        "sends", text(r.sends().port()),
                        "listens", text(r.answers().port())));
    }

    /**
     * @param together other functions of the camera that go by the same controller
     * @param others of these, functions that have another way
     */
    static String lost(List<String> together, List<String> others) {
        return Words.say(
                (together.isEmpty() ? "lost.alone" : "lost.with")
                        + (others.isEmpty() ? ".none" : ".some"),
                Map.of(
                        "together", String.join(", ", together),
                        "others", String.join(", ", others)));
    }
}
