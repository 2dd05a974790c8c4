package app.jerboa.standin.lan;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.core.profile.Transport;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Condition;
import app.jerboa.standin.device.NetworkSettings;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/** How a device stands, and what is entered in it, when the plan was followed to the letter. */
final class AsPlanned {
    private AsPlanned() {}

    static Condition condition(Job plan, RigDevice of) {
        Device d = of.plan();
        Condition now = of.condition();
        return now.with(settings(d).orElse(now.settings()), d.address().isEmpty() && now.leases())
                .with(Condition.SignIns.OPEN)
                .with(dials(plan, d, now.dials()))
                .with(new Condition.Body(true, true));
    }

    /** What is done while it is still within reach, whatever its plan noted of its format. */
    static Condition inReach(Job plan, RigDevice of) {
        Condition now = of.condition();
        Condition.Dials dials = dials(plan, of.plan(), now.dials());
        String standard = plan.site().habits().standard();
        boolean has = of.profile().video().filter(v -> v.formats().contains(standard)).isPresent();
        return now.with(
                        new Condition.Dials(
                                dials.number(),
                                dials.baud(),
                                dials.mode(),
                                has ? standard : dials.format(),
                                dials.on()))
                .with(new Condition.Body(true, true));
    }

    private static Optional<NetworkSettings> settings(Device d) {
        return d.address()
                .filter(a -> d.profile().networked())
                .map(
                        a ->
                                new NetworkSettings(
                                        a, d.prefix(), d.gateway().map(Ipv4::toString).orElse("")));
    }

    private static Condition.Dials dials(Job plan, Device d, Condition.Dials now) {
        int number =
                plan.lines().stream()
                        .filter(l -> l.camera().equals(d.id()))
                        .map(Line::controlId)
                        .findFirst()
                        .orElse(now.number());
        Set<String> on = new TreeSet<>(now.on());
        on.remove("overlay");
        if (d.asSet().irOff()) {
            on.remove("infrared");
        }
        return new Condition.Dials(
                number,
                SerialSettings.of(d).map(SerialSettings::baud).orElse(now.baud()),
                mode(d),
                d.format().isEmpty() ? plan.site().habits().standard() : d.format(),
                on);
    }

    private static Optional<Protocol> mode(Device d) {
        return Arrays.stream(Protocol.values())
                .filter(p -> p.toString().equals(d.asSet().serialProtocol()))
                .findFirst();
    }

    /** By key; a controller that counts has its first alone. */
    static Map<Integer, Entry> entries(Job plan, Device controller) {
        Map<Integer, Entry> entries = new TreeMap<>();
        for (Line line : plan.lines()) {
            line.keys()
                    .filter(k -> k.controller().equals(controller.id()))
                    .forEach(
                            k ->
                                    entry(plan, controller, line)
                                            .ifPresent(e -> entries.put(k.number(), e)));
        }
        Optional<Keys> counts = controller.profile().keys().filter(Keys::counting);
        return counts.isPresent() ? first(entries, counts.get().first()) : entries;
    }

    /** Counted back from the lowest key that is known; serial keys beside them stay. */
    private static Map<Integer, Entry> first(Map<Integer, Entry> entries, int first) {
        Map<Integer, Entry> kept = new TreeMap<>();
        entries.forEach(
                (key, e) -> {
                    if (e.address().isEmpty()) {
                        kept.put(key, e);
                    }
                });
        entries.entrySet().stream()
                .filter(e -> e.getValue().address().isPresent())
                .min(Comparator.comparing(Map.Entry::getKey))
                .ifPresent(
                        e ->
                                kept.put(
                                        first,
                                        new Entry(
                                                e.getValue()
                                                        .address()
                                                        .map(a -> a.plus(first - e.getKey())),
                                                e.getValue().port(),
                                                e.getValue().protocol(),
                                                0,
                                                "")));
        return kept;
    }

    private static Optional<Entry> entry(Job plan, Device controller, Line line) {
        KitIndex kit = KitIndex.of(plan);
        Device camera = kit.device(line.camera());
        return Stream.concat(Stream.of(camera), kit.fitted(camera.id()).stream())
                .flatMap(
                        d ->
                                controller.profile().speaks().stream()
                                        .filter(Speaks::sends)
                                        .filter(s -> answers(d, s.protocol()))
                                        .map(s -> new Way(d, s)))
                .min(Comparator.comparing(w -> w.by().over()))
                .map(w -> entry(plan, line, w));
    }

    private record Way(Device to, Speaks by) {}

    private static boolean answers(Device d, Protocol protocol) {
        boolean network = d.profile().port(protocol).isPresent();
        boolean serial = protocol == Protocol.VISCA_SERIAL || protocol == Protocol.D_PROTOCOL;
        return serial
                ? d.profile().answers(protocol).isPresent()
                : network && d.address().isPresent();
    }

    private static Entry entry(Job plan, Line line, Way way) {
        boolean network = way.by().over() == Transport.UDP || way.by().over() == Transport.TCP;
        Protocol protocol = way.by().protocol();
        return new Entry(
                way.to().address().filter(a -> network),
                way.to().profile().port(protocol).orElse(0),
                protocol,
                network ? 0 : line.controlId(),
                plan.label(line));
    }
}
