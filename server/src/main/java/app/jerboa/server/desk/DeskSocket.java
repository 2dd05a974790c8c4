package app.jerboa.server.desk;

import app.jerboa.core.motion.Lens;
import app.jerboa.core.profile.Head;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.people.Members;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Settings;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The desk's WebSocket: takes stick messages, sends positions and frames back. */
@Component
class DeskSocket extends TextWebSocketHandler {
    private static final Logger LOG = LoggerFactory.getLogger(DeskSocket.class);
    private static final int LEASE_SECONDS = 5;
    private static final int SEND_LIMIT_MILLIS = 2_000;
    private static final int SEND_BUFFER = 512 * 1024;

    /** One open desk. */
    private static final class Desk {
        final Driving driving;
        final AtomicBoolean polling = new AtomicBoolean();
        volatile long job;

        Desk(Driving driving) {
            this.driving = driving;
        }
    }

    private final Map<String, Desk> desks = new ConcurrentHashMap<>();
    private final ScheduledExecutorService watch =
            Executors.newScheduledThreadPool(2, task -> new Thread(task, "desk-watch"));
    private final CameraLinks links;
    private final DeskMapper mapper;
    private final Moving moving;
    private final Jobs jobs;
    private final Members members;
    private final Live live;
    private final String server;
    private final JsonMapper json;

    DeskSocket(
            CameraLinks links,
            DeskMapper mapper,
            Moving moving,
            Jobs jobs,
            Members members,
            Live live,
            Settings settings,
            InnerJson json) {
        this.links = links;
        this.mapper = mapper;
        this.moving = moving;
        this.jobs = jobs;
        this.members = members;
        this.live = live;
        this.server = settings.serverName();
        this.json = json.mapper();
        watch.scheduleAtFixedRate(this::watchSticks, 20, 20, TimeUnit.MILLISECONDS);
        watch.scheduleAtFixedRate(this::readBack, 100, 100, TimeUnit.MILLISECONDS);
        watch.scheduleAtFixedRate(this::renewLeases, 1, 1, TimeUnit.SECONDS);
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession session) {
        Person person = person(session.getPrincipal());
        WebSocketSession screen =
                new ConcurrentWebSocketSessionDecorator(session, SEND_LIMIT_MILLIS, SEND_BUFFER);
        Driving driving =
                new Driving(session.getId(), person, moving, message -> send(screen, message));
        desks.put(session.getId(), new Desk(driving));
    }

    private static Person person(Principal principal) {
        return (Person) ((Authentication) principal).getPrincipal();
    }

    private void send(WebSocketSession screen, Object message) {
        try {
            if (screen.isOpen()) {
                screen.sendMessage(new TextMessage(json.writeValueAsString(message)));
            }
        } catch (IOException | IllegalStateException e) {
            LOG.debug("a desk went away while it was told something: {}", e.getMessage());
        }
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage text) {
        Desk desk = desks.get(session.getId());
        try {
            obey(desk, json.readValue(text.getPayload(), DeskMessages.In.class));
        } catch (JacksonException | IllegalArgumentException e) {
            desk.driving.tell(new DeskMessages.Refused(0, "That message was not understood."));
        } catch (Problem e) {
            desk.driving.tell(new DeskMessages.Refused(0, e.getMessage()));
        }
    }

    private void obey(Desk desk, DeskMessages.In in) {
        switch (in.type() == null ? "" : in.type()) {
            case "open" -> open(desk, in.job() == null ? -1 : in.job());
            case "take" -> take(desk, in.camera() == null ? -1 : in.camera());
            case "stick" ->
                    desk.driving.stick(
                            orZero(in.pan()),
                            orZero(in.tilt()),
                            orZero(in.zoom()),
                            in.limit() == null ? 1 : in.limit(),
                            System.nanoTime());
            case "home" -> desk.driving.home();
            case "stop-all" -> stopAll(desk);
            default -> throw new IllegalArgumentException("unknown message");
        }
    }

    private static double orZero(Double value) {
        if (value == null || value.isNaN()) {
            return 0;
        }
        return Math.max(-1, Math.min(1, value));
    }

    private void open(Desk desk, long job) {
        members.insist(job, desk.driving.person, Right.READ);
        desk.job = job;
    }

    private void take(Desk desk, long device) {
        Jobs.Stored stored = jobs.load(desk.job);
        stored.need(device);
        members.insist(desk.job, desk.driving.person, Right.DRIVE);
        CameraId id = new CameraId(desk.job, device);
        letGo(desk, "another camera was taken");
        boolean mine =
                mapper.takeLease(
                                id,
                                server,
                                desk.driving.holder,
                                desk.driving.person.displayName(),
                                LEASE_SECONDS)
                        == 1;
        if (!mine) {
            String other = mapper.leaseHolder(id).orElse("Somebody else");
            desk.driving.tell(
                    new DeskMessages.Refused(
                            device,
                            other
                                    + " is driving it at another desk. It is free once they let go."));
            return;
        }
        CameraLink camera;
        try {
            camera = links.connect(stored, device);
        } catch (Problem e) {
            mapper.releaseLease(id, desk.driving.holder);
            desk.driving.tell(new DeskMessages.Refused(device, e.getMessage()));
            return;
        }
        camera.log().listen(entry -> show(desk, entry));
        desk.driving.take(camera);
    }

    private static void show(Desk desk, WireLog.Entry entry) {
        if (!entry.polling()) {
            DeskMessages.Frame frame =
                    new DeskMessages.Frame(
                            entry.at().toString(),
                            entry.direction() == WireLog.Direction.SENT,
                            entry.octets().toString(),
                            entry.meaning());
            desk.driving.tell(new DeskMessages.Frames(List.of(frame)));
        }
    }

    private void letGo(Desk desk, String why) {
        CameraLink camera = desk.driving.camera();
        if (camera != null) {
            if (desk.driving.isMoving()) {
                desk.driving.stop(why);
            }
            mapper.releaseLease(camera.id(), desk.driving.holder);
        }
    }

    /**
     * First whatever this server drives, then every other server is told, then whatever any server
     * has marked as moving. Whoever may drive may stop.
     */
    private void stopAll(Desk desk) {
        long job = desk.job;
        members.insist(job, desk.driving.person, Right.DRIVE);
        stopHere(job);
        watch.execute(
                () -> {
                    live.stopAll(job);
                    moving.stopAllIn(job);
                });
    }

    private void stopHere(long job) {
        desks.values().stream()
                .filter(d -> d.job == job)
                .forEach(d -> d.driving.stopFromElsewhere("STOP ALL"));
    }

    /** Somebody stopped all at another server; here it may have happened already. */
    @EventListener
    void told(Notice notice) {
        if (notice.kind().equals(Notice.STOP_ALL)) {
            desks.values().stream()
                    .filter(d -> d.job == notice.job() && d.driving.isMoving())
                    .forEach(d -> d.driving.stopFromElsewhere("STOP ALL"));
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
        Desk desk = desks.remove(session.getId());
        if (desk != null) {
            letGo(desk, "the desk was closed");
        }
    }

    private void watchSticks() {
        long now = System.nanoTime();
        desks.values().forEach(d -> d.driving.watch(now));
    }

    private void renewLeases() {
        try {
            for (Desk desk : desks.values()) {
                CameraLink camera = desk.driving.camera();
                if (camera != null && !renewed(desk, camera)) {
                    desk.driving.stopFromElsewhere("the camera was taken over");
                }
                desk.driving.unmarkWhenSettled(System.nanoTime());
            }
        } catch (RuntimeException e) {
            LOG.warn("leases could not be renewed, so everything is stopped: {}", e.getMessage());
            desks.values().stream()
                    .filter(d -> d.driving.isMoving())
                    .forEach(d -> d.driving.stopFromElsewhere("the lease could not be renewed"));
        }
    }

    private boolean renewed(Desk desk, CameraLink camera) {
        String name = desk.driving.person.displayName();
        return members.may(camera.id().job(), desk.driving.person, Right.DRIVE)
                && mapper.takeLease(camera.id(), server, desk.driving.holder, name, LEASE_SECONDS)
                        == 1;
    }

    private void readBack() {
        for (Desk desk : desks.values()) {
            CameraLink camera = desk.driving.camera();
            if (camera != null && desk.polling.compareAndSet(false, true)) {
                camera.link()
                        .askPanTilt(true)
                        .thenCombine(
                                camera.link().askZoom(true),
                                (at, zoom) -> position(camera, at, zoom))
                        .whenComplete(
                                (position, failure) -> {
                                    desk.polling.set(false);
                                    desk.driving.tell(
                                            failure == null
                                                    ? position
                                                    : new DeskMessages.Refused(
                                                            camera.device(),
                                                            camera.name()
                                                                    + " has stopped answering. Look at its power and its link; take it again when it is back."));
                                });
            }
        }
    }

    private static DeskMessages.Position position(
            CameraLink camera, PanTilt at, ZoomPosition zoom) {
        Head head = camera.head();
        Lens lens = head.lens();
        double share = Math.min(1, (double) zoom.counts() / ZoomPosition.TELE);
        return new DeskMessages.Position(
                "position",
                camera.device(),
                at.pan() / head.countsPerDegree(),
                at.tilt() / head.countsPerDegree(),
                share,
                lens.angleDegrees(share),
                at.pan(),
                at.tilt(),
                zoom.counts());
    }

    @PreDestroy
    void stopEverything() throws InterruptedException {
        desks.values().forEach(d -> d.driving.stopFromElsewhere("the server is stopping"));
        watch.shutdown();
        // The stop frames are out; give their acknowledgements and second readings a moment.
        TimeUnit.MILLISECONDS.sleep(desks.isEmpty() ? 0 : 400);
    }
}
