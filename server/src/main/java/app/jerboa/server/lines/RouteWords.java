package app.jerboa.server.lines;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.control.ControlRoute;
import app.jerboa.core.job.control.RouteNeed;
import app.jerboa.core.profile.Access;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Control routes in sentences. */
final class RouteWords {
    private static final Map<Transport, String> OVER = new EnumMap<>(Transport.class);
    private static final Map<Protocol, String> PROTOCOL = new EnumMap<>(Protocol.class);

    static {
        OVER.put(Transport.UDP, "the network");
        OVER.put(Transport.TCP, "the network");
        OVER.put(Transport.RS_232, "an RS-232 chain");
        OVER.put(Transport.RS_422, "an RS-422 lead");
        OVER.put(Transport.RS_485, "an RS-485 bus");
        OVER.put(Transport.USB, "a USB lead");
        OVER.put(Transport.INFRARED, "infrared");
        OVER.put(Transport.RADIO, "radio");
        OVER.put(Transport.SDI, "the picture's SDI lead");
        OVER.put(Transport.MULTICORE, "the multicore");
        OVER.put(Transport.LEAD, "its own lead");
        PROTOCOL.put(Protocol.VISCA_IP, "VISCA over IP");
        PROTOCOL.put(Protocol.VISCA_UDP, "bare VISCA over UDP");
        PROTOCOL.put(Protocol.VISCA_TCP, "bare VISCA over TCP");
        PROTOCOL.put(Protocol.VISCA_SERIAL, "serial VISCA");
        PROTOCOL.put(Protocol.D_PROTOCOL, "D protocol");
        PROTOCOL.put(Protocol.ONVIF, "ONVIF");
        PROTOCOL.put(Protocol.WEB, "web requests");
        PROTOCOL.put(Protocol.USB_CAMERA, "USB camera class");
        PROTOCOL.put(Protocol.USB_INPUT, "USB input");
        PROTOCOL.put(Protocol.INFRARED, "hand-remote codes");
        PROTOCOL.put(Protocol.PANEL_LINK, "panel link");
        PROTOCOL.put(Protocol.PANEL_SERVER, "panel server");
        PROTOCOL.put(Protocol.RETURN_FEED, "return feed");
        PROTOCOL.put(Protocol.SHORT_RANGE, "short range");
        PROTOCOL.put(Protocol.LENS_MOTOR, "lens motor");
        PROTOCOL.put(Protocol.SWITCHER, "switcher control");
        PROTOCOL.put(Protocol.TUNNEL, "tunnel");
        PROTOCOL.put(Protocol.EMBEDDED, "embedded sound");
    }

    private RouteWords() {}

    static String protocol(Protocol protocol) {
        return PROTOCOL.get(protocol);
    }

    static String over(ControlRoute r) {
        String first = OVER.get(r.sends().over());
        String last = OVER.get(r.answers().over());
        return first.equals(last) ? first : first + ", then " + last;
    }

    static String why(ControlRoute r, boolean planned, boolean recorders) {
        List<String> reasons = new ArrayList<>();
        if (r.chosen()) {
            reasons.add("somebody chose it");
        }
        if (r.key().isPresent()) {
            reasons.add("the line has key " + r.key().getAsInt() + " there");
        } else if (!r.needs().contains(RouteNeed.KEY)) {
            reasons.add("it needs no key");
        }
        boolean recorded = r.through().stream().anyMatch(d -> d.profile().sort() == Sort.RECORDER);
        if (recorded && recorders) {
            reasons.add("the house goes through the recorder");
        }
        reasons.add(r.through().isEmpty() ? "nothing stands between" : "through " + names(r));
        reasons.add(r.answers().twoWay() ? "it reads back" : "it cannot read back");
        String text = String.join(", ", reasons);
        return planned
                ? "Planned: " + text + "."
                : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1) + ".";
    }

    static String names(ControlRoute r) {
        return r.through().stream().map(Device::name).collect(Collectors.joining(", "));
    }

    static List<String> needs(ControlRoute r, Device camera) {
        return r.needs().stream().map(n -> need(n, r, camera)).toList();
    }

    private static String need(RouteNeed need, ControlRoute r, Device camera) {
        return switch (need) {
            case OPTION ->
                    camera.name()
                            + " has no network yet: fit "
                            + camera.profile()
                                    .network()
                                    .map(Network::needs)
                                    .filter(n -> !n.isEmpty())
                                    .orElse("its adapter")
                            + ".";
            case KEY -> "A key on " + r.by().name() + ".";
            case TARGET_LIST ->
                    "In the target list of "
                            + r.by().name()
                            + ": the ID first, then the channel, then the camera.";
            case FITTING -> names(r) + " fitted to " + camera.name() + ".";
            case PORT ->
                    "One port on both sides: "
                            + r.by().name()
                            + " sends to "
                            + r.sends().port().orElse(0)
                            + ", the camera listens at "
                            + r.answers().port().orElse(0)
                            + ".";
            case SECRET -> "The camera's user and password.";
            case REMOTE_ON ->
                    camera.profile()
                            .access()
                            .map(Access::remoteAt)
                            .filter(w -> !w.isEmpty())
                            .map(w -> "Remote control switched on at " + w + ".")
                            .orElse("The first login done at the camera.");
            case LEAD -> "A lead of its own.";
            case CHAIN -> "An RS-232 chain, an ID of its own on it.";
            case BUS -> "An RS-485 bus, + to + and - to -, an ID of its own on it.";
            case SIGHT -> "A clear line of sight.";
            case RANGE -> "To stay within radio range.";
            case RETURN_PICTURE -> "A return picture from the switcher to the camera.";
        };
    }

    /**
     * @param together other functions of the camera that go by the same controller
     * @param others of these, functions that have another way
     */
    static String lost(List<String> together, List<String> others) {
        String and = together.isEmpty() ? "" : " " + String.join(", ", together) + " stop too;";
        String spare =
                others.isEmpty()
                        ? " nothing else is ready."
                        : " ready instead: " + String.join(", ", others) + ".";
        return "If it fails:" + and + spare;
    }
}
