package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskEnd;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.profile.Head;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.HeadLinks;
import app.jerboa.server.world.LineStart;
import app.jerboa.server.world.PluggedLeads;
import app.jerboa.server.world.WireLogs;
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
import org.springframework.stereotype.Component;

/** The open links of this server, one a camera, kept while somebody drives it. */
@Component
class CameraLinks {
    /** What a link is for; only one that drives is not beside another. */
    private enum Purpose {
        DRIVING,
        STOPPING,
        TELLING
    }

    private final Map<CameraId, CameraLink> open = new ConcurrentHashMap<>();
    private final Map<CameraLink, Subscription> followed = new ConcurrentHashMap<>();
    private final Contacts contacts;
    private final HeadLinks headLinks;
    private final WireLogs logs;
    private final PluggedLeads plugged;

    CameraLinks(Contacts contacts, HeadLinks headLinks, WireLogs logs, PluggedLeads plugged) {
        this.plugged = plugged;
        this.logs = logs;
        this.contacts = contacts;
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
     * @throws app.jerboa.server.platform.Problem in plain words when silence, a fight or the laptop
     *     elsewhere keeps it from opening
     */
    CameraLink connect(Jobs.Stored stored, long device, String holder) {
        CameraLink link = link(stored, device, holder, Purpose.DRIVING);
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

    /** As {@link #connect}, to stop it beside one that may be open; the caller closes it. */
    CameraLink aside(Jobs.Stored stored, long number, String holder) {
        return link(stored, number, holder, Purpose.STOPPING);
    }

    /**
     * A link to a camera that is told something, whether it has a head or not; the caller closes
     * it.
     */
    HeadLink told(Jobs.Stored stored, Device device) {
        WireLog log = logs.of(stored.id(), device.id().value());
        return contacts.ways(stored)
                .told(device)
                .match(new Opening(stored, device, log, Purpose.TELLING));
    }

    private CameraLink link(Jobs.Stored stored, long number, String holder, Purpose purpose) {
        Device device = stored.need(number);
        Opening opening = new Opening(stored, device, logs.of(stored.id(), number), purpose);
        HeadLink link = contacts.ways(stored).to(device).match(opening);
        Head head = device.profile().head().orElseThrow();
        link.has(HeadAxes.frames(head));
        return new CameraLink(
                new CameraId(stored.id(), number),
                holder,
                device.name(),
                device.profile().id(),
                head,
                device.profile().presets(),
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
        WireLog log = logs.of(stored.id(), device);
        return headLinks.numberChain(start(stored, chain, Purpose.TELLING), chain, log);
    }

    /**
     * @throws app.jerboa.server.platform.Problem when nothing answers for the serial server, or
     *     another lead may be in its socket
     */
    private LineStart start(Jobs.Stored stored, DeskWay.OverLine way, Purpose purpose) {
        boolean there =
                purpose == Purpose.STOPPING
                        ? plugged.mayBeThere(stored.id(), way)
                        : plugged.isThere(stored.id(), way);
        if (!there) {
            throw Contacts.cannot(DeskWords.unsaid(way));
        }
        return way.from().match(it -> served(stored, it), it -> new LineStart.OwnPort(it.path()));
    }

    private LineStart served(Jobs.Stored stored, DeskEnd.Server it) {
        try {
            return LineStart.at(contacts.answering(stored, it.server(), it.address()));
        } catch (NoAnswer e) {
            throw contacts.noPort(it.server(), it.address());
        }
    }

    /** Opens the link by the way there is, or says why there is none. */
    private final class Opening implements DeskWay.Cases<HeadLink> {
        private final Jobs.Stored stored;
        private final Device camera;
        private final WireLog log;
        private final Purpose purpose;

        Opening(Jobs.Stored stored, Device camera, WireLog log, Purpose purpose) {
            this.purpose = purpose;
            this.stored = stored;
            this.camera = camera;
            this.log = log;
        }

        WireLog log() {
            return log;
        }

        @Override
        public HeadLink overNetwork(DeskWay.OverNetwork it) {
            Answering answering = contacts.answering(stored, it.at(), it.address());
            try {
                return purpose == Purpose.DRIVING
                        ? headLinks.open(answering, it.protocol(), log)
                        : headLinks.beside(answering, it.protocol(), log);
            } catch (NoAnswer e) {
                throw contacts.noPort(it.at(), it.address());
            }
        }

        @Override
        public HeadLink overLine(DeskWay.OverLine it) {
            return headLinks.onLine(start(stored, it, purpose), it, log);
        }

        @Override
        public HeadLink none(DeskWay.None it) {
            throw Contacts.cannot(DeskWords.without(camera, it));
        }
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
