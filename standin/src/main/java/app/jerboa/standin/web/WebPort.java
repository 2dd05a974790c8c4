package app.jerboa.standin.web;

import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.HttpCall;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.knob.Verb;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SignIn;
import app.jerboa.core.profile.Video;
import app.jerboa.core.profile.WebControl;
import app.jerboa.standin.device.AnswerText;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.Timers;
import app.jerboa.wire.http.BodyForm;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.http.RequestTemplate;
import app.jerboa.wire.http.Values;
import app.jerboa.wire.octets.Octets;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Stream;

/** A device's web server: turns and tells its bank of knobs by the requests of its profile. */
public final class WebPort implements DevicePort {
    private static final int LONGEST_BODY = 65_536;

    /** Shared by all devices: a server's own thread would be one for each. */
    private static final ExecutorService THREADS =
            Executors.newFixedThreadPool(
                    4,
                    task -> {
                        Thread thread = new Thread(task, "device-web");
                        thread.setDaemon(true);
                        return thread;
                    });

    static {
        // Else head and body of an answer wait 40 ms for each other.
        System.setProperty("sun.net.httpserver.nodelay", "true");
    }

    private final HttpServer server;
    private final KnobBank bank;
    private final Optional<RequestTemplate> signIn;
    private final Guard guard;
    private final Gate gate;
    private final Shows shows;

    private WebPort(
            HttpServer server,
            KnobBank bank,
            Optional<WebControl> control,
            Door door,
            Gate gate,
            Shows shows) {
        this.server = server;
        this.bank = bank;
        this.signIn = control.flatMap(WebControl::signInCall).map(WebPort::template);
        this.guard = new Guard(control.map(WebControl::signIn).orElse(SignIn.NOBODY), door);
        this.gate = gate;
        this.shows = shows;
    }

    /** What stands on its pages of the world around it. */
    public interface Shows {
        /** One picture of it, as JPEG. */
        byte[] still();

        /** The input that is on programme, from 1; empty for what is no switcher. */
        default OptionalInt programme() {
            return OptionalInt.empty();
        }
    }

    /**
     * @param at port 0 takes any free one
     */
    public static WebPort open(
            InetSocketAddress at, KnobBank bank, Door door, Gate gate, Shows shows)
            throws IOException {
        Optional<WebControl> control = bank.profile().web();
        HttpServer server =
                control.filter(WebControl::tls).isPresent()
                        ? HttpsServer.create(at, 0)
                        : HttpServer.create(at, 0);
        if (server instanceof HttpsServer secure) {
            secure.setHttpsConfigurator(new HttpsConfigurator(Certificate.shared()));
        }
        WebPort port = new WebPort(server, bank, control, door, gate, shows);
        server.setExecutor(late(gate));
        server.createContext("/", port::answer);
        server.start();
        return port;
    }

    /**
     * Through a tunnel a request is taken up later: both ways are waited for on the way in. How
     * long they are is asked on a thread of ours: closing waits for the server's own, which must
     * not wait for whoever closes.
     */
    private static Executor late(Gate gate) {
        return request -> THREADS.execute(() -> takeUp(request, 2 * gate.delayMillis()));
    }

    private static void takeUp(Runnable request, int millis) {
        if (millis == 0) {
            request.run();
        } else {
            Timers.SHARED.schedule(() -> THREADS.execute(request), millis, TimeUnit.MILLISECONDS);
        }
    }

    /**
     * Has a certificate made beforehand: it takes seconds on a slow machine, and whoever asks first
     * for a device would wait for it.
     *
     * @param state file of the halls, beside which it is kept
     */
    public static void prepare(Path state) {
        Certificate.keptIn(state.resolveSibling(state.getFileName() + ".p12"));
        THREADS.execute(Certificate::shared);
    }

    private static RequestTemplate template(HttpCall call) {
        return RequestTemplate.of(
                call.method().toString(),
                call.path(),
                BodyForm.named(call.kind().toString()),
                call.body());
    }

    @Override
    public Protocol protocol() {
        return Protocol.WEB;
    }

    @Override
    public int port() {
        return server.getAddress().getPort();
    }

    private record Answer(int status, Octets body, String type) {
        Answer(int status, String text) {
            this(status, Octets.of(text.getBytes(StandardCharsets.UTF_8)), "");
        }

        static final Answer DONE = new Answer(200, "ok");
        static final Answer NOT_LET_IN = new Answer(401, "who are you?");
        static final Answer NOTHING_HERE = new Answer(404, "nothing here");
    }

    private void answer(HttpExchange exchange) throws IOException {
        if (!gate.own()) {
            exchange.close();
            return;
        }
        byte[] body = exchange.getRequestBody().readNBytes(LONGEST_BODY);
        HttpMessage message =
                new HttpMessage(
                        exchange.getRequestMethod(),
                        exchange.getRequestURI().toString(),
                        "",
                        new String(body, StandardCharsets.UTF_8));
        boolean motion = shows(message, Video::motionPath);
        if (motion && guard.letsIn(exchange)) {
            Motion.answer(exchange, shows::still);
        } else if (motion) {
            send(exchange, refused(exchange));
        } else {
            send(exchange, signIn(exchange, message).orElseGet(() -> guarded(exchange, message)));
        }
    }

    private static void send(HttpExchange exchange, Answer answer) throws IOException {
        byte[] out = answer.body().toArray();
        if (!answer.type().isEmpty()) {
            exchange.getResponseHeaders().set("Content-Type", answer.type());
        }
        exchange.sendResponseHeaders(answer.status(), out.length == 0 ? -1 : out.length);
        exchange.getResponseBody().write(out);
        exchange.close();
    }

    private Optional<Answer> signIn(HttpExchange exchange, HttpMessage message) {
        return signIn.flatMap(s -> s.read(message))
                .map(
                        v ->
                                guard.signsIn(exchange, v.named("user"), v.named("password"))
                                        ? Answer.DONE
                                        : Answer.NOT_LET_IN);
    }

    private Answer guarded(HttpExchange exchange, HttpMessage message) {
        if (!guard.letsIn(exchange)) {
            return refused(exchange);
        }
        if (message.target().equals("/")) {
            return new Answer(200, "<title>" + bank.profile().name() + "</title>");
        }
        return picture(message)
                .or(() -> tally(message))
                .or(() -> turned(message))
                .or(() -> told(message))
                .or(() -> asked(message))
                .orElse(Answer.NOTHING_HERE);
    }

    private Answer refused(HttpExchange exchange) {
        guard.challenge(exchange);
        return Answer.NOT_LET_IN;
    }

    private Optional<Answer> picture(HttpMessage message) {
        return shows(message, Video::stillPath)
                ? Optional.of(new Answer(200, Octets.of(shows.still()), "image/jpeg"))
                : Optional.empty();
    }

    /** It asks for the picture at this path of the profile. */
    private boolean shows(HttpMessage message, Function<Video, String> path) {
        return bank.profile()
                .video()
                .map(path)
                .filter(p -> !p.isEmpty() && message.target().equals(pathOf(p)))
                .isPresent();
    }

    private Optional<Answer> tally(HttpMessage message) {
        OptionalInt programme = shows.programme();
        return bank.profile()
                .tally()
                .filter(t -> programme.isPresent())
                .filter(
                        t ->
                                t.reading()
                                        .map(WebPort::template)
                                        .flatMap(r -> r.read(message))
                                        .isPresent())
                .map(t -> new Answer(200, AnswerText.of(t, programme.getAsInt())));
    }

    private static String pathOf(String address) {
        int slash = address.indexOf('/', address.indexOf("//") + 2);
        return slash < 0 ? "/" : address.substring(slash);
    }

    private static Stream<Saying> http(List<Saying> said) {
        return said.stream().filter(s -> s.in() == Tongue.HTTP);
    }

    private Optional<Answer> turned(HttpMessage message) {
        Profile profile = bank.profile();
        for (Knob k : profile.knobs()) {
            for (Saying s : http(k.said()).toList()) {
                Optional<Values> values = template(s.request().orElseThrow()).read(message);
                if (values.isPresent()) {
                    return value(k, s, values.get())
                            .map(v -> obeyed(bank.turn(k, v)))
                            .or(() -> Optional.of(new Answer(400, "no such value")));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Integer> value(Knob k, Saying s, Values values) {
        if (values.number().isPresent()) {
            return Optional.of(values.number().getAsInt() - s.offset());
        }
        return values.word()
                .flatMap(
                        w ->
                                k.choices().stream()
                                        .filter(c -> c.word().equals(w))
                                        .map(Choice::value)
                                        .findFirst());
    }

    private Optional<Answer> told(HttpMessage message) {
        for (Verb v : bank.profile().verbs()) {
            if (http(v.sayings())
                    .anyMatch(s -> template(s.request().orElseThrow()).read(message).isPresent())) {
                return Optional.of(obeyed(bank.tell(v)));
            }
        }
        return Optional.empty();
    }

    private static Answer obeyed(Optional<KnobBank.Refusal> refusal) {
        return refusal.map(r -> new Answer(r.notNow() ? 409 : 400, r.reason())).orElse(Answer.DONE);
    }

    /** All knobs that this question asks for, in one answer. */
    private Optional<Answer> asked(HttpMessage message) {
        AnswerText text = new AnswerText();
        for (Knob k : bank.profile().knobs()) {
            http(k.said())
                    .filter(s -> s.reading().isPresent())
                    .filter(s -> template(s.reading().get()).read(message).isPresent())
                    .forEach(
                            s ->
                                    text.add(
                                            s.found().orElse(new HttpAnswer("", "(.*)")),
                                            said(k, s)));
        }
        return text.empty() ? Optional.empty() : Optional.of(new Answer(200, text.toString()));
    }

    private String said(Knob k, Saying s) {
        int value = bank.value(k.name()).orElseThrow();
        return k.choice(value)
                .map(Choice::word)
                .filter(w -> !w.isEmpty())
                .orElse(Integer.toString(value + s.offset()));
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
