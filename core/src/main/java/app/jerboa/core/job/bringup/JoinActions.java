package app.jerboa.core.job.bringup;

import static app.jerboa.core.job.bringup.Action.Kind.JOIN_WIRELESS;
import static app.jerboa.core.job.bringup.Action.Kind.PAIR_TUNNEL;
import static app.jerboa.core.job.bringup.Action.Kind.STREAM_KEY;
import static app.jerboa.core.job.bringup.Action.Kind.STREAM_PREVIEW;
import static app.jerboa.core.job.bringup.Action.Kind.STREAM_RATE;
import static app.jerboa.core.job.bringup.Action.Kind.STREAM_TO;
import static app.jerboa.core.job.bringup.Action.Kind.TUNNEL_LIGHTS;
import static app.jerboa.core.job.bringup.Action.Kind.WIRELESS_FALL_BACK;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Habits;
import app.jerboa.core.job.Secret;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Medium;
import app.jerboa.core.profile.Network;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Secrets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Connections that are more than an address: wireless, tunnels, and the stream to the outside. */
final class JoinActions {
    private JoinActions() {}

    /** Devices that join something, tunnels before wireless, in the order of the kit. */
    static List<DeviceId> order(Hall hall) {
        return Stream.concat(
                        hall.job().devices().stream().filter(JoinActions::tunnel),
                        hall.job().devices().stream().filter(d -> wireless(hall, d) && !tunnel(d)))
                .map(Device::id)
                .toList();
    }

    private static boolean tunnel(Device d) {
        return d.profile().sort() == Sort.TUNNEL_BOX;
    }

    /** Radio is its only way, or its way when the lead fails. */
    private static boolean wireless(Hall hall, Device d) {
        Optional<Medium> medium = d.profile().network().map(Network::medium);
        boolean camera =
                d.profile().kind() == DeviceKind.CAMERA
                        || d.profile().sort() == Sort.CONTROL_BRIDGE;
        return medium.filter(m -> m == Medium.WIRELESS).isPresent()
                || medium.filter(m -> m == Medium.EITHER).isPresent()
                        && (camera || hall.wireless(d.id()).isPresent())
                        && d.profile().kind() != DeviceKind.ROUTER;
    }

    static List<Action> of(Hall hall, Device d) {
        if (tunnel(d)) {
            return List.of(
                    Action.of(PAIR_TUNNEL).with(hall.secret(d.id(), Secrets.TUNNEL_KEY)),
                    Action.of(TUNNEL_LIGHTS));
        }
        Optional<Secret> passphrase = hall.wireless(d.id());
        List<Action> actions = new ArrayList<>();
        actions.add(
                Action.of(JOIN_WIRELESS, passphrase.map(Secret::name).orElse("")).with(passphrase));
        d.profile()
                .network()
                .filter(n -> n.medium() == Medium.EITHER)
                .ifPresent(
                        n ->
                                actions.add(
                                        Action.of(WIRELESS_FALL_BACK)
                                                .with(
                                                        "seconds",
                                                        n.changeOverSeconds().isPresent()
                                                                ? n.changeOverSeconds().getAsInt()
                                                                        + " s"
                                                                : "some seconds")));
        return actions;
    }

    /** What sends the programme out, when the site says where to. */
    static List<DeviceId> streaming(Hall hall) {
        if (hall.job().site().habits().outside().service().isEmpty()) {
            return List.of();
        }
        return Stream.of(Sort.ENCODER, Sort.COMPUTER_SWITCHER, Sort.VIDEO_SWITCHER, Sort.RECORDER)
                .flatMap(
                        s ->
                                hall.job().devices().stream()
                                        .filter(d -> d.profile().sort() == s)
                                        .filter(d -> s == Sort.COMPUTER_SWITCHER || streams(d)))
                .map(Device::id)
                .limit(1)
                .toList();
    }

    private static boolean streams(Device d) {
        return d.profile().video().map(Video::codecs).filter(c -> !c.isEmpty()).isPresent();
    }

    static List<Action> stream(Hall hall, Device d) {
        Habits.Outside outside = hall.job().site().habits().outside();
        List<Action> actions = new ArrayList<>();
        actions.add(Action.of(STREAM_TO, outside.service()));
        actions.add(Action.of(STREAM_KEY).with(hall.secret(d.id(), Secrets.STREAM_KEY)));
        actions.add(
                Action.of(
                        STREAM_RATE,
                        hall.job().site().habits().standard()
                                + (outside.outgoing().isPresent()
                                        ? ", " + outside.outgoing().getAsInt() + " Mb/s"
                                        : "")));
        actions.add(Action.of(STREAM_PREVIEW));
        return actions;
    }
}
