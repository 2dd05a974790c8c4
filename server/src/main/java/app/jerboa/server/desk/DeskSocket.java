package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.Push;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import jakarta.websocket.SendResult;
import jakarta.websocket.Session;
import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.function.Consumer;
import org.apache.tomcat.websocket.Constants;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.socket.server.support.HttpSessionHandshakeInterceptor;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The desk's WebSocket: reads what a page says and hands it on. It runs on threads that do nothing
 * else, so nothing here may wait.
 */
@Component
class DeskSocket extends TextWebSocketHandler {
    private static final Logger LOG = LoggerFactory.getLogger(DeskSocket.class);
    private static final String DESK = "desk";
    private static final int SEND_LIMIT_MILLIS = 2_000;
    private static final int MOST_OF_ONE_PERSON = 12;
    private static final int MOST = 300;

    private final Desks desks;
    private final Marks marks;
    private final OpenLines lines;
    private final JsonMapper json;

    /** One for each desk at most: a browser that takes nothing holds up its own thread alone. */
    private final ExecutorService screens = Threads.many("desk-screens", 2 * MOST);

    DeskSocket(Desks desks, Marks marks, OpenLines lines, InnerJson json) {
        this.desks = desks;
        this.marks = marks;
        this.lines = lines;
        this.json = json.mapper();
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession session) throws IOException {
        Person person = (Person) ((Authentication) session.getPrincipal()).getPrincipal();
        long his = desks.all().stream().filter(d -> d.account() == person.id()).count();
        if (his >= MOST_OF_ONE_PERSON || desks.all().size() >= MOST) {
            LOG.info("a desk of account {} was refused: too many are open", person.id());
            session.close(CloseStatus.POLICY_VIOLATION.withReason("too many desks are open"));
            return;
        }
        Screen screen = new Screen(outlet(session), screens, json::writeValueAsString);
        Driving driving = new Driving(marks, screen::tell, System::nanoTime, desks::letGo);
        String httpSession =
                (String)
                        session.getAttributes()
                                .get(HttpSessionHandshakeInterceptor.HTTP_SESSION_ID_ATTR_NAME);
        Desk desk = Desk.of(session.getId(), httpSession, person, screen, driving);
        session.getAttributes().put(DESK, desk);
        desks.add(desk);
        lines.add(desk);
    }

    /**
     * Sends without waiting: the container says when a message is out, or that its time is over.
     */
    private static Screen.Outlet outlet(WebSocketSession session) {
        Session raw = ((NativeWebSocketSession) session).getNativeSession(Session.class);
        raw.getAsyncRemote().setSendTimeout(SEND_LIMIT_MILLIS);
        raw.getUserProperties()
                .put(Constants.BLOCKING_SEND_TIMEOUT_PROPERTY, (long) SEND_LIMIT_MILLIS);
        return new Screen.Outlet() {
            @Override
            public void send(String text, Consumer<Boolean> sent) {
                try {
                    raw.getAsyncRemote().sendText(text, (SendResult r) -> sent.accept(r.isOK()));
                } catch (IllegalStateException | IllegalArgumentException closed) {
                    sent.accept(false);
                }
            }

            @Override
            public void close(String why) {
                LOG.info("desk {} is closed: {}", session.getId(), why);
                try {
                    session.close(CloseStatus.POLICY_VIOLATION.withReason(why));
                } catch (IOException e) {
                    LOG.debug("a desk was gone before it was closed: {}", e.getMessage());
                }
            }
        };
    }

    private static Optional<Desk> desk(WebSocketSession session) {
        return Optional.ofNullable((Desk) session.getAttributes().get(DESK));
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage text) {
        desk(session).ifPresent(desk -> read(desk, text.getPayload()));
    }

    private void read(Desk desk, String text) {
        desk.driving.sign();
        DeskMessages.In in;
        try {
            in = json.readValue(text, DeskMessages.In.class);
        } catch (JacksonException | IllegalArgumentException e) {
            in = null;
        }
        if (in == null || !obeyed(desk, in)) {
            desk.screen.tell(
                    new DeskMessages.Trouble(Optional.empty(), Words.say("refused.message")));
        }
    }

    private boolean obeyed(Desk desk, DeskMessages.In in) {
        switch (in.type() == null ? "" : in.type()) {
            case "open" -> desks.open(desk, in.job() == null ? -1 : in.job());
            case "take" -> desks.take(desk, in.camera() == null ? -1 : in.camera());
            case "stick" ->
                    desk.driving.stick(
                            new Push(
                                    orZero(in.pan()),
                                    orZero(in.tilt()),
                                    orZero(in.zoom()),
                                    orZero(in.focus()),
                                    orZero(in.roll()),
                                    orZero(in.rail())),
                            in.limit() == null || in.limit().isNaN() ? 1 : in.limit());
            case "home" -> desk.driving.home();
            case "recall" -> desk.driving.recall(in.preset() == null ? -1 : in.preset());
            case "go" ->
                    desk.driving.go(
                            new SteadyMoves.Wish(
                                    in.move() == null ? 0 : in.move(),
                                    places(in),
                                    orNaN(in.seconds())));
            case "keep-going" -> desk.driving.keepGoing(in.move() == null ? 0 : in.move());
            case "ask" -> desks.ask(desk, in.camera() == null ? -1 : in.camera());
            case "keep" -> desks.keep(desk);
            case "move-on-air" -> desk.driving.allowOnAir();
            case "stop-all" -> desks.stopAll(desk);
            case "beat" -> {
                // The sign of life is noted for every message.
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Pan and tilt always, roll and rail where they are to go too. */
    private static Map<MotionAxis, Double> places(DeskMessages.In in) {
        Map<MotionAxis, Double> all = new EnumMap<>(MotionAxis.class);
        all.put(MotionAxis.PAN, orNaN(in.pan()));
        all.put(MotionAxis.TILT, orNaN(in.tilt()));
        Optional.ofNullable(in.roll()).ifPresent(r -> all.put(MotionAxis.ROLL, r));
        Optional.ofNullable(in.rail()).ifPresent(r -> all.put(MotionAxis.RAIL, r));
        return all;
    }

    private static double orNaN(Double value) {
        return value == null ? Double.NaN : value;
    }

    private static double orZero(Double value) {
        if (value == null || value.isNaN()) {
            return 0;
        }
        return Math.max(-1, Math.min(1, value));
    }

    @Override
    public void handleTransportError(WebSocketSession session, Throwable failure) {
        LOG.debug("a desk's line broke: {}", failure.toString());
    }

    @Override
    public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
        desk(session)
                .ifPresent(
                        desk -> {
                            desks.closed(desk);
                            lines.remove(desk);
                        });
    }
}
