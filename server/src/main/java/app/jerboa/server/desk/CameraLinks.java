package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.HeadLinks;
import app.jerboa.server.world.Reach;
import app.jerboa.server.world.WireLogs;
import app.jerboa.server.world.Worlds;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.NoAnswer;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** The open links of this server, one a camera, kept while somebody drives it. */
@Component
class CameraLinks {
    private final Map<CameraId, CameraLink> open = new ConcurrentHashMap<>();
    private final Map<CameraLink, Subscription> followed = new ConcurrentHashMap<>();
    private final Worlds worlds;
    private final HeadLinks headLinks;
    private final WireLogs logs;

    CameraLinks(Worlds worlds, HeadLinks headLinks, WireLogs logs) {
        this.logs = logs;
        this.worlds = worlds;
        this.headLinks = headLinks;
    }

    Optional<CameraLink> find(CameraId id) {
        return Optional.ofNullable(open.get(id));
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
        CameraLink link = link(stored, device, holder, false);
        Optional.ofNullable(open.put(link.id(), link)).ifPresent(this::end);
        return link;
    }

    /** Shows its frames as they come, until the link is closed. */
    void follow(CameraLink link, Consumer<WireLog.Entry> onEntry) {
        followed.put(link, link.log().listen(onEntry));
    }

    private void end(CameraLink link) {
        Optional.ofNullable(followed.remove(link)).ifPresent(Subscription::close);
        link.link().close();
    }

    /** As {@link #connect}, beside one that may be open; the caller closes it. */
    CameraLink aside(Jobs.Stored stored, long number, String holder) {
        return link(stored, number, holder, true);
    }

    private CameraLink link(Jobs.Stored stored, long number, String holder, boolean aside) {
        Device device = stored.need(number);
        Opening opening = new Opening(stored, device, logs.of(stored.id(), number), aside);
        HeadLink link = DeskWays.of(stored.job()).to(device).match(opening);
        return new CameraLink(
                new CameraId(stored.id(), number),
                holder,
                device.name(),
                device.profile().head().orElseThrow(),
                DeskLaw.of(stored.job()),
                link,
                opening.log());
    }

    /**
     * Has the cameras of a chain take their numbers, 1 for the nearest.
     *
     * @return how many did, when that is known
     */
    CompletableFuture<Integer> numberChain(
            Jobs.Stored stored, DeskWay.OverLine chain, long device) {
        Answering answering =
                worlds.of(stored.id())
                        .reach(stored, chain.address())
                        .match(new Only(chain.server(), chain.address()));
        return headLinks.numberChain(answering, chain, logs.of(stored.id(), device));
    }

    /** Opens the link by the way there is, or says why there is none. */
    private final class Opening implements DeskWay.Cases<HeadLink> {
        private final Jobs.Stored stored;
        private final Device camera;
        private final WireLog log;
        private final boolean aside;

        Opening(Jobs.Stored stored, Device camera, WireLog log, boolean aside) {
            this.aside = aside;
            this.stored = stored;
            this.camera = camera;
            this.log = log;
        }

        WireLog log() {
            return log;
        }

        @Override
        public HeadLink overNetwork(DeskWay.OverNetwork it) {
            return open(it.at(), it.address(), it);
        }

        @Override
        public HeadLink overLine(DeskWay.OverLine it) {
            return open(it.server(), it.address(), it);
        }

        private HeadLink open(Device at, Ipv4 address, DeskWay way) {
            Answering answering =
                    worlds.of(stored.id()).reach(stored, address).match(new Only(at, address));
            try {
                return aside
                        ? headLinks.beside(answering, way, log)
                        : headLinks.open(answering, way, log);
            } catch (NoAnswer e) {
                throw cannot(
                        Words.say(
                                "drive.no-port", Map.of("device", at.name(), "address", address)));
            }
        }

        @Override
        public HeadLink none(DeskWay.None it) {
            throw cannot(DeskWords.without(camera, it));
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
        end(link);
    }

    @PreDestroy
    void closeAll() {
        open.values().forEach(l -> l.link().close());
    }
}
