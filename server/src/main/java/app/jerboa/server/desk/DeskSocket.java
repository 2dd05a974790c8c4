package app.jerboa.server.desk;

import app.jerboa.core.motion.MotionAxis;
import app.jerboa.core.motion.Push;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.InnerJson;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import jakarta.websocket.Session;
import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
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

    /** A browser that takes nothing is waited for so long, on the one thread of its screen. */
    private static Screen.Outlet outlet(WebSocketSession session) {
        Session raw = ((NativeWebSocketSession) session).getNativeSession(Session.class);
        raw.getUserProperties()
                .put(Constants.BLOCKING_SEND_TIMEOUT_PROPERTY, (long) SEND_LIMIT_MILLIS);
        return new Screen.Outlet() {
            @Override
            public boolean send(String text) {
                try {
                    raw.getBasicRemote().sendText(text);
                    return true;
                } catch (IOException | IllegalStateException | IllegalArgumentException broken) {
                    LOG.debug("a desk could not be told: {}", broken.toString());
                    return false;
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
        Optional<PageMessage> message = PageMessage.read(text);
        if (message.isEmpty() || !obeyed(desk, message.get())) {
            desk.screen.tell(
                    new DeskMessages.Trouble(Optional.empty(), Words.say("refused.message")));
        }
    }

    private boolean obeyed(Desk desk, PageMessage message) {
        switch (message.type()) {
            case "open" -> desks.open(desk, message.whole("job"));
            case "take" -> desks.take(desk, message.whole("camera"));
            case "stick" -> desk.driving.stick(push(message), message.number("limit").orElse(1));
            case "home" -> desk.driving.home();
            case "recall" -> desk.driving.recall((int) message.whole("preset"));
            case "go" ->
                    desk.driving.go(
                            new SteadyMoves.Wish(
                                    message.whole("move"),
                                    places(message),
                                    message.number("seconds").orElse(Double.NaN)));
            case "keep-going" -> desk.driving.keepGoing(message.whole("move"));
            case "ask" -> desks.ask(desk, message.whole("camera"));
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

    private static Push push(PageMessage stick) {
        return new Push(
                stick.push("pan"),
                stick.push("tilt"),
                stick.push("zoom"),
                stick.push("focus"),
                stick.push("roll"),
                stick.push("rail"));
    }

    /** Pan and tilt always, roll and rail where they are to go too. */
    private static Map<MotionAxis, Double> places(PageMessage go) {
        Map<MotionAxis, Double> all = new EnumMap<>(MotionAxis.class);
        all.put(MotionAxis.PAN, go.number("pan").orElse(Double.NaN));
        all.put(MotionAxis.TILT, go.number("tilt").orElse(Double.NaN));
        go.number("roll").ifPresent(r -> all.put(MotionAxis.ROLL, r));
        go.number("rail").ifPresent(r -> all.put(MotionAxis.RAIL, r));
        return all;
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
