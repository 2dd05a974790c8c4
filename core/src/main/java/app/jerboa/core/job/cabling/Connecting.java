package app.jerboa.core.job.cabling;

import app.jerboa.core.item.ChangeSet;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.profile.Cable;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Runs for what is not joined yet: network and power, pictures, serial chains and buses, DC, and
 * the rest that fits only one way. Every run is of the house's usual length, to be corrected;
 * nothing that was planned is touched.
 */
public final class Connecting {
    /** They stand where the pictures come together. */
    private static final Set<DeviceKind> RACKED =
            EnumSet.of(
                    DeviceKind.ROUTER,
                    DeviceKind.NETWORK_SWITCH,
                    DeviceKind.CONTROLLER,
                    DeviceKind.VIDEO,
                    DeviceKind.COMPUTER);

    /** In metres. */
    private static final double ACROSS_THE_RACK = 3;

    private final Cabling cabling;
    private final List<Item> adds = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();

    private Connecting(Cabling cabling) {
        this.cabling = cabling;
    }

    /** Nothing when everything that can be joined is. */
    public static ChangeSet all(Job job) {
        Connecting connecting = new Connecting(Cabling.of(job));
        new NetworkConnecting(connecting).all();
        new PictureConnecting(connecting).all();
        new SerialConnecting(connecting).all();
        new OtherConnecting(connecting).all();
        return new ChangeSet(connecting.adds, List.of(), List.of());
    }

    Cabling cabling() {
        return cabling;
    }

    KitIndex kit() {
        return cabling.kit();
    }

    Job job() {
        return cabling.job();
    }

    /** Sockets with room, counting what is proposed already. */
    Stream<Link.Plug> free(DeviceId device) {
        return cabling.free(device)
                .filter(p -> p.socket().signal() != Signal.NONE)
                .filter(p -> p.socket().signal() == Signal.RS_485 || !taken.contains(key(p)));
    }

    Optional<Link.Plug> firstFree(DeviceId device, Signal signal) {
        return free(device)
                .filter(p -> p.socket().signal() == signal && !p.socket().configures())
                .findFirst();
    }

    /** Something is joined to it, or is proposed to be. */
    boolean joined(Link.Plug plug) {
        return !cabling.free(plug) || taken.contains(key(plug));
    }

    /** A device has something of that signal already. */
    boolean has(DeviceId device, Signal signal) {
        return cabling.at(device, signal).findAny().isPresent()
                || taken.contains(device + " " + signal);
    }

    private static String key(Link.Plug plug) {
        return plug.device().id() + " " + plug.socket().name();
    }

    /** Along the usual cable, at the usual length. */
    void join(Link.Plug from, Link.Plug to) {
        join(from, to, from.socket().signal().cables().get(0), Map.of());
    }

    void join(Link.Plug from, Link.Plug to, Cable cable, Map<Field, String> more) {
        for (Link.Plug end : List.of(from, to)) {
            taken.add(key(end));
            taken.add(end.device().id() + " " + end.socket().signal());
        }
        double usual = usual(from.device(), to.device());
        boolean data = cable == Cable.DATA && from.socket().signal() == Signal.NETWORK;
        Map<Field, String> ends =
                data ? Map.of(Field.FROM_PINS, "t568b", Field.TO_PINS, "t568b") : more;
        adds.add(NewRun.of(-1L - adds.size(), from, to, cable, usual, ends));
    }

    /** Between things that stand together a lead across the rack; else as the house lays runs. */
    private double usual(Device from, Device to) {
        return racked(from) && racked(to) ? ACROSS_THE_RACK : job().site().habits().usualRun();
    }

    /** A converter may stand at either end of a long run. */
    private static boolean racked(Device d) {
        return RACKED.contains(d.profile().kind()) && d.profile().sort() != Sort.CONVERTER;
    }

    /** Line by line first, then in the order of the kit. */
    List<Device> inWorkingOrder() {
        List<Device> order = new ArrayList<>();
        Set<DeviceId> seen = new HashSet<>();
        Stream.concat(
                        job().lines().stream().map(l -> kit().device(l.camera())),
                        job().devices().stream())
                .filter(d -> seen.add(d.id()))
                .forEach(order::add);
        return order;
    }
}
