package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.HttpAnswer;
import app.jerboa.core.knob.HttpCall;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.knob.Saying;
import app.jerboa.core.knob.Tongue;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SignIn;
import app.jerboa.core.profile.WebControl;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.web.WebPort;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.http.BodyForm;
import app.jerboa.wire.http.HttpMessage;
import app.jerboa.wire.http.RequestTemplate;
import app.jerboa.wire.http.Values;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.http.DeviceHttp;
import app.jerboa.wire.link.http.HttpTrouble;
import app.jerboa.wire.link.http.Pins;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.panel.PanelLink;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.panel.PanelMessage;
import app.jerboa.wire.visca.FrameTemplate;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every knob of every family, set and read back in each language that it is said in. */
class KnobsOverEveryProtocolTest {
    private static final String PASSWORD = "factory";

    /** Of its own for each: what is tried once more must not find one that was stopped. */
    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(1);

    @AfterEach
    void stop() {
        timer.shutdownNow();
    }

    private static byte[] still() {
        return new byte[0];
    }

    private static final Gate OPEN = Gate.open(Optional.empty());

    private static Door door(Profile profile) {
        return Door.open(profile.access().orElseThrow().user(), PASSWORD);
    }

    private static InetSocketAddress anyPort() {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), 0);
    }

    private static InetSocketAddress at(DevicePort port) {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port());
    }

    /** Turns and asks over one language. */
    private interface Voice {
        /** False when it was refused. */
        boolean turn(Knob knob, Saying said, int value) throws Exception;

        int ask(Knob knob, Saying said) throws Exception;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "ceiling-ptz",
                "ceiling-ptz-serial",
                "ceiling-ptz-usb",
                "compact-ptz-stream",
                "compact-ptz-usb",
                "cinema-head",
                "shoulder-camera",
                "box-camera-network",
                "box-camera-option"
            })
    void isSetAndReadBack(String id) throws Exception {
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        int turned = 0;
        for (Tongue tongue : Tongue.values()) {
            if (profile.knobs().stream().anyMatch(k -> in(k, tongue).isPresent())) {
                turned += overOne(profile, tongue);
            }
        }
        assertThat(turned).isGreaterThanOrEqualTo(profile.knobs().size());
    }

    private static Optional<Saying> in(Knob k, Tongue tongue) {
        return k.said().stream().filter(s -> s.in() == tongue).findFirst();
    }

    private int overOne(Profile profile, Tongue tongue) throws Exception {
        KnobBank bank = new KnobBank(profile, 5);
        return switch (tongue) {
            case VISCA -> all(bank, tongue, new Frames(bank));
            case HTTP -> overRequests(bank);
            case PANEL_LINK -> overPanelLink(bank);
            case D_PROTOCOL -> 0;
        };
    }

    private static int overRequests(KnobBank bank) throws Exception {
        try (WebPort port =
                        WebPort.open(
                                anyPort(),
                                bank,
                                door(bank.profile()),
                                OPEN,
                                KnobsOverEveryProtocolTest::still);
                DeviceHttp http = http(port, bank.profile(), PASSWORD, new Remembered())) {
            return all(bank, Tongue.HTTP, new Requests(http));
        }
    }

    private int overPanelLink(KnobBank bank) throws Exception {
        Profile profile = bank.profile();
        PanelEar ear = new PanelEar(bank, "L8", door(profile), OPEN);
        try (TcpPort port = TcpPort.open(anyPort(), Protocol.PANEL_LINK, ear);
                PanelLink link = panel(port, profile, PASSWORD)) {
            link.ready().get(5, TimeUnit.SECONDS);
            return all(bank, Tongue.PANEL_LINK, new Keys(link));
        }
    }

    /** Each knob to its ends and back, in the conditions that it wants; refused outside them. */
    private static int all(KnobBank bank, Tongue tongue, Voice voice) throws Exception {
        int turned = 0;
        for (Knob k : bank.profile().knobs()) {
            Saying said = in(k, tongue).orElse(null);
            if (said == null) {
                continue;
            }
            for (OnlyWhen o : k.only()) {
                Knob other = bank.profile().knob(o.knob()).orElseThrow();
                List<Choice> wrong =
                        other.choices().stream().filter(c -> !o.in().contains(c.name())).toList();
                bank.put(other, wrong.get(0).value());
                assertThat(voice.turn(k, said, k.most())).as("%s by %s", k.name(), o).isFalse();
                bank.put(other, value(other, o.in().get(0)));
            }
            for (int value : values(k)) {
                assertThat(voice.turn(k, said, value)).as(k.name() + " " + value).isTrue();
                assertThat(bank.value(k.name())).as(k.name()).hasValue(value);
                assertThat(voice.ask(k, said)).as(k.name()).isEqualTo(value);
            }
            k.effect()
                    .ifPresent(
                            e ->
                                    assertThat(bank.trueEffect(k.name()) / e)
                                            .isBetween(0.8, 1.2)
                                            .isNotEqualTo(1));
            turned++;
        }
        return turned;
    }

    private static int value(Knob knob, String choice) {
        return knob.choices().stream()
                .filter(c -> c.name().equals(choice))
                .findFirst()
                .orElseThrow()
                .value();
    }

    private static List<Integer> values(Knob k) {
        List<Integer> all = new ArrayList<>();
        k.choices().forEach(c -> all.add(c.value()));
        if (k.choices().isEmpty()) {
            all.addAll(List.of(k.least(), (k.least() + k.most()) / 2, k.most()));
        } else {
            // Left as it was found: a camera on standby takes nothing more.
            all.add(k.choices().get(0).value());
        }
        return all;
    }

    /** Frames to a camera, with or without a head: the focus runs to its place at once here. */
    private static final class Frames implements Voice {
        private final ViscaVoice camera;
        private final List<String> heard = new ArrayList<>();

        Frames(KnobBank bank) {
            camera = new ViscaVoice(new SimulatedBody(bank), 1);
        }

        private String say(Octets frame) {
            heard.clear();
            camera.hear(frame, r -> heard.add(r.toString()));
            return heard.get(0);
        }

        private static Octets framed(Octets body) {
            return Octets.of(0x81).plus(body).plus(Octets.of(0xFF));
        }

        @Override
        public boolean turn(Knob knob, Saying said, int value) {
            Octets frame =
                    said.message().isEmpty()
                            ? framed(
                                    FrameTemplate.request(said.frame()).fill(value + said.offset()))
                            : ViscaRequest.Sent.of(
                                            ViscaMessage.named(said.message()).orElseThrow(),
                                            value + said.offset())
                                    .encode(1);
            return !say(frame).startsWith("90 60");
        }

        @Override
        public int ask(Knob knob, Saying said) {
            if (said.message().isEmpty()) {
                Octets answer =
                        Octets.ofHex(say(framed(FrameTemplate.request(said.ask()).fill(0))));
                return FrameTemplate.answer(said.answer())
                                .read(answer.slice(2, answer.size() - 1))
                                .orElseThrow()
                        - said.offset();
            }
            ViscaMessage question =
                    ViscaMessage.named(said.message()).orElseThrow().question().orElseThrow();
            Octets answer = Octets.ofHex(say(new ViscaRequest.Sent(question, List.of()).encode(1)));
            return question.answer()
                            .decode(answer.slice(2, answer.size() - 1))
                            .toOptional()
                            .orElseThrow()
                    - said.offset();
        }
    }

    private record Requests(DeviceHttp http) implements Voice {
        private static RequestTemplate template(HttpCall c) {
            return RequestTemplate.of(
                    c.method().toString(), c.path(), BodyForm.named(c.kind().toString()), c.body());
        }

        @Override
        public boolean turn(Knob knob, Saying said, int value) {
            String word = knob.choice(value).map(Choice::word).orElse("");
            HttpMessage message =
                    template(said.request().orElseThrow())
                            .fill(Values.of(value + said.offset(), word));
            try {
                http.send(message, knob.name());
                return true;
            } catch (HttpTrouble e) {
                assertThat(e.kind()).isEqualTo(HttpTrouble.Kind.NOT_NOW);
                return false;
            }
        }

        @Override
        public int ask(Knob knob, Saying said) {
            HttpAnswer found = said.found().orElseThrow();
            String answer =
                    http.send(template(said.reading().orElseThrow()).fill(Values.none()), "ask");
            String text =
                    AnswerShape.of(found.pointer(), found.pattern())
                            .read(answer)
                            .toOptional()
                            .orElseThrow();
            return knob.choices().stream()
                    .filter(c -> c.word().equals(text))
                    .findFirst()
                    .map(Choice::value)
                    .orElseGet(() -> Integer.parseInt(text) - said.offset());
        }
    }

    private record Keys(PanelLink link) implements Voice {
        @Override
        public boolean turn(Knob knob, Saying said, int value) throws Exception {
            return link.turn(said.key(), value)
                    .handle((v, refused) -> refused == null)
                    .get(5, TimeUnit.SECONDS);
        }

        @Override
        public int ask(Knob knob, Saying said) throws Exception {
            return link.ask(said.key()).get(5, TimeUnit.SECONDS);
        }
    }

    /** As a server remembers a certificate. */
    private static final class Remembered implements Pins {
        private Optional<String> shown = Optional.empty();

        @Override
        public Optional<String> pinned() {
            return shown;
        }

        @Override
        public void pin(String sha256) {
            shown = Optional.of(sha256);
        }
    }

    private static DeviceHttp http(WebPort port, Profile profile, String password, Pins pins) {
        WebControl web = profile.web().orElseThrow();
        String user = profile.access().orElseThrow().user();
        return new DeviceHttp(
                at(port),
                web.tls(),
                pins,
                new DeviceHttp.Account(
                        user,
                        password,
                        web.signInCall()
                                .map(Requests::template)
                                .map(t -> t.fill(Values.account(user, password)))),
                web.oneAtATime(),
                InstantSource.system(),
                new WireLog(20));
    }

    private PanelLink panel(TcpPort port, Profile profile, String password) {
        return new PanelLink(
                TcpStream.open(at(port), timer),
                new PanelMessage.SignIn(profile.access().orElseThrow().user(), password),
                timer,
                InstantSource.system(),
                new WireLog(20),
                () -> {});
    }

    /** Basic, Digest and cookie: nobody comes in without the password, and it is tried once. */
    @ParameterizedTest
    @ValueSource(strings = {"ceiling-ptz", "box-camera-network", "compact-ptz-stream"})
    void nobodyComesInWithAnotherPassword(String id) throws Exception {
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        assertThat(profile.web().orElseThrow().signIn()).isNotEqualTo(SignIn.NOBODY);
        try (WebPort port =
                        WebPort.open(
                                anyPort(),
                                new KnobBank(profile, 1),
                                door(profile),
                                OPEN,
                                KnobsOverEveryProtocolTest::still);
                DeviceHttp wrong = http(port, profile, "guess", new Remembered())) {
            assertThatThrownBy(() -> wrong.send(new HttpMessage("GET", "/", "", ""), "look"))
                    .isInstanceOfSatisfying(
                            HttpTrouble.class,
                            e -> assertThat(e.kind()).isEqualTo(HttpTrouble.Kind.NOT_LET_IN));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"cinema-head"})
    void anotherCertificateIsNotTrusted(String id) throws Exception {
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        Remembered pins = new Remembered();
        try (WebPort port =
                WebPort.open(
                        anyPort(),
                        new KnobBank(profile, 1),
                        door(profile),
                        OPEN,
                        KnobsOverEveryProtocolTest::still)) {
            HttpMessage look = new HttpMessage("GET", "/", "", "");
            try (DeviceHttp first = http(port, profile, PASSWORD, pins)) {
                first.send(look, "look");
            }
            assertThat(pins.pinned()).hasValueSatisfying(p -> assertThat(p).hasSize(64));
            try (DeviceHttp again = http(port, profile, PASSWORD, pins)) {
                again.send(look, "look");
            }
            pins.pin("0".repeat(64));
            try (DeviceHttp swapped = http(port, profile, PASSWORD, pins)) {
                assertThatThrownBy(() -> swapped.send(look, "look"))
                        .isInstanceOfSatisfying(
                                HttpTrouble.class,
                                e ->
                                        assertThat(e.kind())
                                                .isEqualTo(HttpTrouble.Kind.OTHER_CERTIFICATE));
            }
        }
    }

    /**
     * As a rig that was started again with its state, with a state that is damaged, and without.
     */
    @Test
    void aRigThatIsStartedAgainShowsTheSameCertificate(@TempDir Path folder) throws Exception {
        Path state = folder.resolve("rig.json");
        String first = certificateOf(state);
        assertThat(certificateOf(state)).isEqualTo(first);
        Files.writeString(folder.resolve("rig.json.p12"), "cut off");
        String second = certificateOf(state);
        assertThat(second).hasSize(64).isNotEqualTo(first);
        assertThat(certificateOf(state)).isEqualTo(second);
        assertThat(certificateOf(folder.resolve("other.json"))).isNotIn(first, second);
    }

    private static String certificateOf(Path state) throws Exception {
        WebPort.prepare(state);
        Profile profile = ShippedProfiles.read("cinema-head").orElseThrow();
        Remembered pins = new Remembered();
        KnobBank bank = new KnobBank(profile, 1);
        try (WebPort port =
                        WebPort.open(
                                anyPort(),
                                bank,
                                door(profile),
                                OPEN,
                                KnobsOverEveryProtocolTest::still);
                DeviceHttp http = http(port, profile, PASSWORD, pins)) {
            http.send(new HttpMessage("GET", "/", "", ""), "look");
        }
        return pins.pinned().orElseThrow();
    }

    /** One to one: a second panel is told who holds it; a change by other hands is pushed. */
    @ParameterizedTest
    @ValueSource(strings = {"shoulder-camera"})
    void aCameraIsHeldByOnePanel(String id) throws Exception {
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        KnobBank bank = new KnobBank(profile, 1);
        try (TcpPort port =
                        TcpPort.open(
                                anyPort(),
                                Protocol.PANEL_LINK,
                                1,
                                () -> new PanelEar(bank, "L8", door(profile), OPEN));
                PanelLink holds = panel(port, profile, PASSWORD)) {
            holds.ready().get(5, TimeUnit.SECONDS);
            try (PanelLink second = panel(port, profile, PASSWORD)) {
                assertThatThrownBy(() -> second.ready().get(5, TimeUnit.SECONDS))
                        .hasMessageContaining("another panel holds L8");
            }
            holds.turn("tally", 1).get(5, TimeUnit.SECONDS);
            assertThat(bank.value("tally")).hasValue(1);
        }
        await().until(() -> bank.value("tally").getAsInt() == 0);
    }
}
