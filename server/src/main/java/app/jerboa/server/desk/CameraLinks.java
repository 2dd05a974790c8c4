package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Head;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.World;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** The open links of this server, one a camera, kept while somebody drives it. */
@Component
class CameraLinks {
    private static final int FRAMES_KEPT = 500;

    private final Map<CameraId, CameraLink> open = new ConcurrentHashMap<>();
    private final World world;

    CameraLinks(World world) {
        this.world = world;
    }

    boolean isOpen(CameraId id) {
        return open.containsKey(id);
    }

    /**
     * A fresh link to the camera at its planned address, in the place of one that was open.
     *
     * @throws Problem in plain words when silence, a fight or the laptop elsewhere keeps it from
     *     opening
     */
    CameraLink connect(Jobs.Stored stored, long device, String holder) {
        CameraLink link = aside(stored, device, holder);
        Optional.ofNullable(open.put(link.id(), link)).ifPresent(old -> old.link().close());
        return link;
    }

    /** As {@link #connect}, beside one that may be open; the caller closes it. */
    CameraLink aside(Jobs.Stored stored, long number, String holder) {
        Device device = stored.need(number);
        Head head =
                device.profile()
                        .head()
                        .orElseThrow(
                                () ->
                                        cannot(
                                                Words.say(
                                                        "drive.no-head",
                                                        Map.of("device", device.name()))));
        Ipv4 address =
                device.address()
                        .orElseThrow(
                                () ->
                                        cannot(
                                                Words.say(
                                                        "drive.no-address",
                                                        Map.of("device", device.name()))));
        Answering answering = world.reach(stored, address).match(new Only(device, address));
        WireLog log = new WireLog(FRAMES_KEPT);
        return new CameraLink(
                new CameraId(stored.id(), number),
                holder,
                device.name(),
                head,
                DeskLaw.of(stored.job()),
                open(device, address, answering, log),
                log);
    }

    private HeadLink open(Device device, Ipv4 address, Answering to, WireLog log) {
        try {
            return world.open(to, Form.HEADER, log);
        } catch (NoAnswer e) {
            throw cannot(
                    Words.say(
                            "drive.no-voice", Map.of("device", device.name(), "address", address)));
        }
    }

    /** The one that answers, or why there is none. */
    private record Only(Device device, Ipv4 address) implements Reach.Cases<Answering> {
        @Override
        public Answering elsewhere(Reach.Elsewhere it) {
            throw cannot(
                    Words.say(
                            "drive.elsewhere",
                            Map.of("device", device.name(), "address", address)));
        }

        @Override
        public Answering silent(Reach.Silent it) {
            throw cannot(
                    Words.say("drive.silent", Map.of("device", device.name(), "address", address)));
        }

        @Override
        public Answering fighting(Reach.Fighting it) {
            throw cannot(
                    Words.say(
                            "drive.fighting",
                            Map.of("all", it.all(), "device", device.name(), "address", address)));
        }

        @Override
        public Answering one(Reach.One it) {
            return it.answering();
        }
    }

    private static Problem cannot(String sentence) {
        return new Problem(HttpStatus.CONFLICT, "cannot-reach", sentence);
    }

    /** Closes this very link; one that came in its place stays. */
    void close(CameraLink link) {
        open.remove(link.id(), link);
        link.link().close();
    }

    @PreDestroy
    void closeAll() {
        open.values().forEach(l -> l.link().close());
    }
}
