package app.jerboa.server.network;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.addresses.OverlapCheck;
import app.jerboa.core.job.addresses.OwnLink;
import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.Speaks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Door;
import app.jerboa.server.world.Heard;
import app.jerboa.server.world.Laptop;
import app.jerboa.server.world.OwnAddress;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.Standpoint;
import app.jerboa.server.world.World;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.WorldTime;
import app.jerboa.wire.discovery.Probe;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The machine's own network: its interfaces are the laptop's addresses, its sockets reach heads.
 */
@Component
class LiveWorld implements World {
    private static final Logger LOG = LoggerFactory.getLogger(LiveWorld.class);

    /** RFC 863: thrown away by whoever gets it; it makes this machine ask who has the address. */
    private static final int DISCARD = 9;

    /** An answer on the same link comes within a few ms; the system asks again after a second. */
    private static final int LOOKS = 12;

    private static final int BETWEEN_LOOKS_MILLIS = 25;

    private final AllowRule allow;
    private final Interfaces interfaces;
    private final Neighbours neighbours;
    private final RefusedContacts refused;

    LiveWorld(
            Settings settings,
            Interfaces interfaces,
            Neighbours neighbours,
            RefusedContacts refused) {
        this.refused = refused;
        this.allow = new AllowRule(settings.liveAllow());
        this.interfaces = interfaces;
        this.neighbours = neighbours;
    }

    @Override
    public WorldChoice which() {
        return WorldChoice.LIVE;
    }

    @Override
    public boolean there() {
        return true;
    }

    @Override
    public WorldTime time() {
        return new WorldTime(InstantSource.system().instant(), 1);
    }

    @Override
    public Optional<Laptop> laptop(Jobs.Stored stored) {
        Standpoint from = standpoint(stored);
        List<String> all = from.addresses().stream().map(OwnAddress::address).toList();
        String own =
                from.reaches().isEmpty() ? all.stream().findFirst().orElse("") : from.reaches();
        return Optional.of(new Laptop(own, all.stream().filter(a -> !a.equals(own)).toList()));
    }

    @Override
    public Standpoint standpoint(Jobs.Stored stored) {
        List<OwnLink> all = interfaces.all();
        List<OwnLink> reaching = all.stream().filter(o -> reaches(stored, o)).toList();
        List<OwnAddress> shown =
                all.stream()
                        .filter(o -> !o.loopback() || reaching.contains(o))
                        .map(o -> new OwnAddress(o.link(), o.text(), reaching.contains(o)))
                        .toList();
        return new Standpoint(
                reaching.stream().findFirst().map(OwnLink::text).orElse(""),
                shown,
                reaching.isEmpty() ? List.of(Words.say("live.no-address")) : List.of(),
                OverlapCheck.of(stored.job(), all));
    }

    private static boolean reaches(Jobs.Stored stored, OwnLink own) {
        return stored.job().subnets().stream()
                .anyMatch(
                        s -> s.range().contains(own.address()) || own.onLink(s.range().network()));
    }

    /** All that has a network: whether it answers is found out by asking. */
    @Override
    public boolean canAsk(Device device) {
        return device.profile().networked();
    }

    @Override
    public Reach reach(Jobs.Stored stored, Ipv4 address) {
        Optional<String> refusal = allow.refusal(stored.job(), address);
        refusal.ifPresent(why -> refused.contact(stored, address, notSent(address, why)));
        return asked(stored, address, refusal);
    }

    @Override
    public Reach look(Jobs.Stored stored, Ipv4 address) {
        Optional<String> refusal = allow.refusalOfLook(stored.job(), address);
        refusal.ifPresent(why -> refused.look(stored, address, notSent(address, why)));
        return asked(stored, address, refusal);
    }

    private Reach asked(Jobs.Stored stored, Ipv4 address, Optional<String> refusal) {
        refusal.ifPresent(
                why -> {
                    LOG.info("job {}: {} is not contacted: {}", stored.id(), address, why);
                    throw new Problem(HttpStatus.CONFLICT, "not-allowed", notSent(address, why));
                });
        List<OwnLink> all = interfaces.all();
        Optional<OwnLink> from = all.stream().filter(o -> o.onLink(address)).findFirst();
        if (from.isEmpty()) {
            return new Reach.Elsewhere(laptop(stored).map(Laptop::own).orElse(""));
        }
        return from.get().loopback()
                ? new Reach.One(answering(stored, address, "", from.get()))
                : onLink(stored, address, from.get());
    }

    private static String notSent(Ipv4 address, String why) {
        return Words.say("contact.refused", Map.of("address", address, "why", why));
    }

    private Reach onLink(Jobs.Stored stored, Ipv4 address, OwnLink from) {
        Neighbours.Entry entry = asked(address);
        if (entry instanceof Neighbours.Entry.Nobody) {
            return new Reach.Silent();
        }
        String mac = entry instanceof Neighbours.Entry.Known known ? known.mac() : "";
        return new Reach.One(answering(stored, address, mac, from));
    }

    /** Has the machine look who has the address, and reads what it found. */
    private Neighbours.Entry asked(Ipv4 address) {
        try (DatagramSocket socket = new DatagramSocket()) {
            socket.send(
                    new DatagramPacket(
                            new byte[0], 0, InetAddress.getByName(address.toString()), DISCARD));
        } catch (IOException e) {
            LOG.debug("{} could not be asked for", address, e);
        }
        Neighbours.Entry entry = neighbours.of(address);
        for (int i = 0; i < LOOKS && !(entry instanceof Neighbours.Entry.Known); i++) {
            pause();
            entry = neighbours.of(address);
        }
        return entry;
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(BETWEEN_LOOKS_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static Answering answering(Jobs.Stored stored, Ipv4 address, String mac, OwnLink from) {
        Optional<Device> there =
                stored.job().devices().stream()
                        .filter(d -> addresses(d).anyMatch(address::equals))
                        .findFirst();
        Map<String, Integer> ports = new HashMap<>();
        there.ifPresent(
                d ->
                        d.profile().speaks().stream()
                                .filter(s -> !s.sends() && s.port().isPresent())
                                .forEach(s -> ports.putIfAbsent(name(s), s.port().getAsInt())));
        return new Answering(
                there.map(Device::name).orElse(address.toString()),
                mac,
                address.toString(),
                ports,
                Optional.of(from.address().toString()));
    }

    private static String name(Speaks s) {
        return s.protocol().toString();
    }

    private static Stream<Ipv4> addresses(Device d) {
        return Stream.of(d.address(), d.found(), d.profile().factory().map(FactoryAddress::address))
                .flatMap(Optional::stream);
    }

    /** The ports that the profiles of the job name; what a probe answers at is the same for all. */
    @Override
    public List<Door> doors(Jobs.Stored stored, Answering answering) {
        Set<Door> doors = new LinkedHashSet<>();
        stored.job().devices().stream()
                .flatMap(d -> d.profile().speaks().stream())
                .filter(s -> !s.sends() && s.port().isPresent())
                .filter(s -> Door.LOOKED_FOR.contains(s.protocol()))
                .filter(s -> s.protocol() != Protocol.ONVIF)
                .forEach(s -> doors.add(new Door(s.protocol(), s.port().getAsInt())));
        doors.add(new Door(Protocol.ONVIF, Probe.PORT));
        return List.copyOf(doors);
    }

    @Override
    public List<Heard> askAll(Jobs.Stored stored) {
        List<Heard> heard = new ArrayList<>();
        interfaces.all().stream()
                .filter(o -> reaches(stored, o) && !o.loopback())
                .forEach(o -> heard.addAll(GroupProbe.by(o)));
        return heard;
    }

    /** Only the network itself could tell; nobody sweeps it for that. */
    @Override
    public Optional<Ipv4> addressNow(Jobs.Stored stored, Device device) {
        return Optional.empty();
    }
}
