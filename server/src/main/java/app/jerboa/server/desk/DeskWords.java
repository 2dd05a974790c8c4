package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskEnd;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** How the desk reaches a head, and why it cannot, in words. */
final class DeskWords {
    private DeskWords() {}

    /** Why there is no way, and what to do. */
    static String without(Device camera, DeskWay.None none) {
        String key = none.why().name().toLowerCase(Locale.ROOT).replace('_', '-');
        String who = none.who().stream().map(Device::name).collect(Collectors.joining(", "));
        return Words.say("drive." + key, Map.of("device", camera.name(), "who", who));
    }

    /** The way there is; empty for none. */
    static String way(DeskWay way) {
        return way.match(
                new DeskWay.Cases<>() {
                    @Override
                    public String overNetwork(DeskWay.OverNetwork it) {
                        return Words.say(
                                "way.network",
                                Map.of(
                                        "protocol", Words.say("way." + it.protocol()),
                                        "at", it.at().name(),
                                        "address", it.address(),
                                        "port", Integer.toString(it.port())));
                    }

                    @Override
                    public String overLine(DeskWay.OverLine it) {
                        return Words.say(
                                it.protocol() == Protocol.D_PROTOCOL ? "way.bus" : "way.chain",
                                Map.of(
                                        "from", end(it.from()),
                                        "number", Integer.toString(it.number()),
                                        "baud", Integer.toString(it.rate().baud())));
                    }

                    @Override
                    public String none(DeskWay.None it) {
                        return "";
                    }
                });
    }

    private static String end(DeskEnd from) {
        return from.match(
                it ->
                        Words.say(
                                "way.server",
                                Map.of(
                                        "at", it.name(),
                                        "address", it.address(),
                                        "port", Integer.toString(it.port()))),
                it -> Words.say("way.own-port", Map.of("path", it.path())));
    }

    /** The name of what stands between; empty for nothing. */
    static String through(Device camera, DeskWay way) {
        if (way instanceof DeskWay.OverLine it) {
            return it.from().device().map(Device::name).orElseGet(() -> Words.say("way.here"));
        }
        return way instanceof DeskWay.OverNetwork it && !it.at().equals(camera)
                ? it.at().name()
                : "";
    }

    /** The lead that must be moved for it; empty for none. */
    static String move(DeskWay way) {
        return way instanceof DeskWay.OverLine it && it.moved().isPresent()
                ? Words.say(
                        "way.moved",
                        Map.of(
                                "from",
                                it.moved().get().at(it.line().stations().get(0).id()).toString(),
                                "to",
                                it.from().name()))
                : "";
    }

    /** What must be said of the lead before anything is told over it. */
    static String unsaid(DeskWay.OverLine way) {
        return Words.say(
                way.others().isEmpty() ? "drive.lead-of-another-job" : "drive.lead-unsaid",
                Map.of(
                        "lead", names(way.line().cameras()),
                        "to", way.from().name(),
                        "others", others(way)));
    }

    /** The cameras of the leads that come to the same socket, lead by lead. */
    static String others(DeskWay.OverLine way) {
        return way.others().stream()
                .map(o -> names(o.cameras()))
                .reduce(
                        (one, other) ->
                                Words.say("way.two-leads", Map.of("one", one, "other", other)))
                .orElse("");
    }

    static String names(List<Device> devices) {
        return devices.stream().map(Device::name).collect(Collectors.joining(", "));
    }
}
