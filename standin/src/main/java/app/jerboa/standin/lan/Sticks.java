package app.jerboa.standin.lan;

import app.jerboa.core.knob.Knob;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.standin.controller.Entries;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.controller.Sent;
import app.jerboa.standin.device.ViscaObeys;
import app.jerboa.standin.device.ViscaVoice;
import app.jerboa.wire.octets.Octets;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a key and a stick of a controller do in the hall: octets go where its entry says. */
public final class Sticks {
    private static final int ALONE = 1;
    private static final Set<Protocol> SERIAL =
            EnumSet.of(Protocol.VISCA_SERIAL, Protocol.D_PROTOCOL);
    private static final Set<Protocol> VISCA =
            EnumSet.of(Protocol.VISCA_IP, Protocol.VISCA_UDP, Protocol.VISCA_TCP);

    private final Hall hall;

    public Sticks(Hall hall) {
        this.hall = hall;
    }

    private Entries entries(DeviceId controller) {
        return hall.entries(controller)
                .orElseThrow(() -> new IllegalArgumentException("it has no keys"));
    }

    public void press(DeviceId controller, int key) {
        entries(controller).press(key);
    }

    /**
     * Sends for the key that is pressed.
     *
     * @param pan -1 (left) to 1, {@code tilt} -1 (down) to 1; both 0 stop
     * @throws IllegalStateException while the controller is not up
     */
    public void stick(DeviceId controller, double pan, double tilt) {
        if (hall.need(controller).phase() != RigDevice.Phase.UP) {
            throw new IllegalStateException("the controller is not up");
        }
        Entries held = entries(controller);
        held.of(held.pressed()).ifPresent(e -> send(controller, e, Sent.drive(e, pan, tilt)));
    }

    private void send(DeviceId controller, Entry entry, Octets octets) {
        if (SERIAL.contains(entry.protocol())) {
            hall.serial()
                    .of(controller, entry.protocol())
                    .forEach(line -> line.say(octets, back -> {}));
        } else {
            hearer(controller, entry).flatMap(RigDevice::hears).ifPresent(h -> hear(h, octets));
        }
    }

    private static void hear(ViscaObeys head, Octets octets) {
        new ViscaVoice(head, ALONE).hear(octets, reply -> {});
    }

    /** Who takes what the controller sends over the network; nobody at a wrong port. */
    private Optional<RigDevice> hearer(DeviceId controller, Entry entry) {
        return entry.address()
                .flatMap(a -> hall.holderFor(controller, a))
                .filter(d -> VISCA.contains(entry.protocol()))
                .filter(
                        d ->
                                d.profile().port(entry.protocol()).stream()
                                        .anyMatch(p -> p == entry.port()));
    }

    /** Turns a knob of the camera on the pressed key of a paint panel. */
    public boolean turn(DeviceId panel, String knob, int value) {
        Entries held = entries(panel);
        Optional<RigDevice> camera = held.of(held.pressed()).flatMap(e -> painted(panel, e));
        Optional<Knob> turned = camera.flatMap(d -> d.profile().knob(knob));
        return turned.isPresent() && camera.get().bank().turn(turned.get(), value).isEmpty();
    }

    private Optional<RigDevice> painted(DeviceId panel, Entry entry) {
        boolean link =
                entry.protocol() == Protocol.PANEL_LINK
                        || entry.protocol() == Protocol.PANEL_SERVER;
        return entry.address()
                .filter(a -> link)
                .flatMap(a -> hall.holderFor(panel, a))
                .filter(d -> d.condition().obeys())
                .filter(
                        d ->
                                d.profile().port(entry.protocol()).stream()
                                        .anyMatch(p -> p == entry.port()));
    }

    /** Whom a key moves, or paints; none where it leads nowhere. */
    Set<DeviceId> moves(DeviceId controller, int key) {
        Set<DeviceId> moved = new LinkedHashSet<>();
        if (hall.need(controller).phase() != RigDevice.Phase.UP) {
            return moved;
        }
        Optional<Entry> entry = entries(controller).of(key);
        entry.filter(e -> SERIAL.contains(e.protocol()))
                .ifPresent(
                        e ->
                                hall.serial()
                                        .hearing(controller, e.protocol(), e.number())
                                        .forEach(moved::add));
        entry.flatMap(e -> hearer(controller, e))
                .filter(Sticks::obeys)
                .ifPresent(d -> moved.add(d.plan().id()));
        entry.flatMap(e -> painted(controller, e)).ifPresent(d -> moved.add(d.plan().id()));
        return moved;
    }

    /** It moves when it is told to. */
    static boolean obeys(RigDevice d) {
        return d.hears().isPresent()
                && d.headFacts().isPresent()
                && d.condition().obeys()
                && d.condition().body().balanced();
    }

    /** Every controller that holds anything. */
    static List<RigDevice> controllers(Hall hall) {
        return hall.devices().stream()
                .filter(d -> hall.entries(d.plan().id()).isPresent())
                .filter(d -> d.profile().keys().isPresent())
                .toList();
    }
}
