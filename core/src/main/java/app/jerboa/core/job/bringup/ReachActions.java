package app.jerboa.core.job.bringup;

import static app.jerboa.core.job.bringup.Action.Kind.BAUD;
import static app.jerboa.core.job.bringup.Action.Kind.FORMAT_DIAL;
import static app.jerboa.core.job.bringup.Action.Kind.FORMAT_MENU;
import static app.jerboa.core.job.bringup.Action.Kind.FRAMING;
import static app.jerboa.core.job.bringup.Action.Kind.INVERT;
import static app.jerboa.core.job.bringup.Action.Kind.IR_ID;
import static app.jerboa.core.job.bringup.Action.Kind.IR_OFF;
import static app.jerboa.core.job.bringup.Action.Kind.LENS_SWITCHES;
import static app.jerboa.core.job.bringup.Action.Kind.NOTE_FIRST_PICTURE;
import static app.jerboa.core.job.bringup.Action.Kind.OVERLAY_OFF;
import static app.jerboa.core.job.bringup.Action.Kind.SERIAL_ID;
import static app.jerboa.core.job.bringup.Action.Kind.SERIAL_PROTOCOL;
import static app.jerboa.core.job.bringup.Action.Kind.STUDIO_ADAPTER;
import static app.jerboa.core.job.bringup.Action.Kind.TERMINATOR;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.profile.DialPosition;
import app.jerboa.core.profile.IdPlace;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Video;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What must be set while a camera is still within reach: dials, IDs, serial settings, switches. */
final class ReachActions {
    private final Hall hall;
    private final Map<DeviceId, ChainOrBus> leads = new HashMap<>();

    ReachActions(Hall hall) {
        this.hall = hall;
        for (ChainOrBus lead : ChainOrBus.all(hall.cabling())) {
            lead.stations().forEach(d -> leads.putIfAbsent(d.id(), lead));
        }
    }

    /** Cameras in line order, but those of a chain or bus as their lead passes them. */
    List<DeviceId> order() {
        Set<DeviceId> order = new LinkedHashSet<>();
        for (Line line : hall.job().lines()) {
            ChainOrBus lead = leads.get(line.camera());
            List<DeviceId> together =
                    lead == null
                            ? List.of(line.camera())
                            : lead.cameras().stream().map(Device::id).toList();
            order.addAll(together);
        }
        return order.stream().filter(d -> !of(hall.device(d)).isEmpty()).toList();
    }

    List<Action> of(Device camera) {
        List<Action> actions = new ArrayList<>();
        Optional<Line> line = hall.cabling().line(camera.id());
        serial(camera, line, actions);
        line.ifPresent(l -> infrared(camera, l, actions));
        camera.profile().video().ifPresent(v -> picture(v, actions));
        hall.cabling().kit().fitted(camera.id()).forEach(f -> fitted(f, actions));
        hall.cabling()
                .kit()
                .mount(camera.id())
                .filter(Mount::inverted)
                .ifPresent(m -> actions.add(Action.of(INVERT)));
        return actions;
    }

    private void serial(Device camera, Optional<Line> line, List<Action> actions) {
        ChainOrBus lead = leads.get(camera.id());
        if (lead == null || camera.profile().serial().isEmpty()) {
            return;
        }
        boolean byOrder =
                camera.profile().ids().filter(i -> i.setBy() == IdPlace.CHAIN).isPresent();
        if (!byOrder) {
            line.ifPresent(
                    l ->
                            actions.add(
                                    Action.of(SERIAL_ID, Integer.toString(l.controlId()))
                                            .with("by", idPlace(camera))));
        }
        SerialSettings other = lead.driver().flatMap(SerialSettings::of).orElse(settings(camera));
        actions.add(Action.of(BAUD, Integer.toString(other.baud())));
        actions.add(Action.of(FRAMING, other.framing()));
        if (!other.protocol().isEmpty()) {
            actions.add(Action.of(SERIAL_PROTOCOL, other.protocol()));
        }
        actions.add(Action.of(NOTE_FIRST_PICTURE));
        if (lead.signal() == Signal.RS_485 && atTheEnd(lead, camera)) {
            actions.add(Action.of(TERMINATOR));
        }
        if (lead.driver().filter(d -> d.profile().sort() == Sort.DECODER).isPresent()) {
            actions.add(Action.of(IR_OFF));
        }
    }

    private static SerialSettings settings(Device camera) {
        return SerialSettings.of(camera).orElseThrow();
    }

    private static boolean atTheEnd(ChainOrBus lead, Device camera) {
        return lead.stations().get(lead.stations().size() - 1).id().equals(camera.id());
    }

    private static String idPlace(Device camera) {
        return camera.profile().ids().map(i -> i.setBy().toString()).orElse("menu");
    }

    /**
     * A hand remote moves every camera that has its ID: numbers in line order, as far as they go.
     */
    private static void infrared(Device camera, Line line, List<Action> actions) {
        camera.profile()
                .ids()
                .filter(i -> i.remoteIds().isPresent())
                .filter(i -> !camera.asSet().irOff())
                .ifPresent(
                        i -> {
                            int id = (line.number() - 1) % i.remoteIds().getAsInt() + 1;
                            actions.add(Action.of(IR_ID, Integer.toString(id)));
                        });
    }

    private void picture(Video video, List<Action> actions) {
        String standard = hall.job().site().habits().standard();
        Optional<DialPosition> dial =
                video.dial().stream().filter(d -> d.format().equals(standard)).findFirst();
        if (dial.isPresent()) {
            actions.add(Action.of(FORMAT_DIAL, dial.get().position()).with("format", standard));
        } else if (video.formats().contains(standard)) {
            actions.add(Action.of(FORMAT_MENU, standard));
        }
        if (!video.overlays().isEmpty()) {
            actions.add(
                    Action.of(OVERLAY_OFF).with("overlays", String.join(", ", video.overlays())));
        }
    }

    private static void fitted(Device f, List<Action> actions) {
        List<String> switches = f.profile().optics().map(o -> o.switches()).orElse(List.of());
        if (!switches.isEmpty()) {
            actions.add(
                    Action.about(LENS_SWITCHES, f).with("switches", String.join(", ", switches)));
        }
        if (f.profile().sort() == Sort.STUDIO_ADAPTER) {
            actions.add(Action.about(STUDIO_ADAPTER, f));
        }
    }
}
