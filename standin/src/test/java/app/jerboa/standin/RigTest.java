package app.jerboa.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.control.RigServer;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.HeadState;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.visca.PanTilt;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RigTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final NetworkSettings HOME = at("10.44.8.81");
    private static final NetworkSettings HOPPED = at("192.168.77.250");
    private static final Ipv4 FACTORY = Ipv4.parse("192.168.77.10");

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private final Hall hall =
            rig.furnish(
                    "1",
                    TestJob.empty()
                            .device(1, "a", "ceiling-ptz", "10.44.8.21")
                            .device(2, "b", "ceiling-ptz", "10.44.8.22")
                            .file());
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();

    private static NetworkSettings at(String address) {
        return new NetworkSettings(Ipv4.parse(address), 24, "");
    }

    private void pass(int seconds) {
        now.updateAndGet(t -> t.plusSeconds(seconds));
    }

    private List<String> answering(Ipv4 address) {
        return hall.answering(address).stream().map(RigDevice::name).toList();
    }

    private RigDevice device(String name) {
        return hall.devices().stream().filter(d -> d.name().equals(name)).findFirst().orElseThrow();
    }

    private void plug(String name, boolean on) {
        hall.plug(device(name).plan().id(), on, false);
    }

    @AfterEach
    void silence() {
        hall.close();
        timer.shutdownNow();
    }

    @Test
    void aCameraAnswersAfterItsBootToALaptopOnItsSubnetOnly() {
        plug("a", true);
        hall.moveLaptop(HOPPED);
        pass(59);
        assertThat(answering(FACTORY)).isEmpty();
        pass(1);
        assertThat(answering(FACTORY)).containsExactly("a");
        hall.moveLaptop(HOME);
        assertThat(answering(FACTORY)).isEmpty();
        assertThat(hall.onLink(FACTORY)).isFalse();
    }

    @Test
    void twoOnOneAddressFightAndTakeNoSettings() {
        hall.moveLaptop(HOPPED);
        plug("a", true);
        plug("b", true);
        pass(60);
        assertThat(answering(FACTORY)).containsExactly("a", "b");
        assertThatThrownBy(() -> Rig.only(hall, FACTORY)).isInstanceOf(IllegalStateException.class);
        plug("b", false);
        assertThat(Rig.only(hall, FACTORY).name()).isEqualTo("a");
    }

    @Test
    void newSettingsTakeEffectAfterTheRestart() {
        hall.moveLaptop(HOPPED);
        plug("a", true);
        pass(60);
        hall.atMenu(Rig.only(hall, FACTORY).plan().id(), at("10.44.8.21"));
        assertThat(answering(FACTORY)).isEmpty();
        hall.moveLaptop(HOME);
        assertThat(answering(Ipv4.parse("10.44.8.21"))).isEmpty();
        pass(60);
        assertThat(answering(Ipv4.parse("10.44.8.21"))).containsExactly("a");
        hall.hand(device("a").plan().id(), new Hand.Reset(false));
        pass(60);
        assertThat(answering(Ipv4.parse("10.44.8.21"))).isEmpty();
    }

    @Test
    void theWorldIsThereAgainAfterARestart(@TempDir Path dir) throws Exception {
        hall.moveLaptop(HOPPED);
        plug("a", true);
        pass(60);
        hall.atMenu(device("a").plan().id(), at("10.44.8.21"));
        pass(30);
        RigFile file = new RigFile(dir.resolve("rig.json"));
        file.save(rig);
        Instant later = now.get().plusSeconds(86_400);
        Rig again = new Rig(() -> later, new WorldClock(later, file.worldNow().orElseThrow(), 1));
        file.restore(again);
        RigDevice a = again.needHall("1").device(new DeviceId(1)).orElseThrow();
        assertThat(a.settings()).isEqualTo(at("10.44.8.21"));
        assertThat(a.phase()).isEqualTo(RigDevice.Phase.BOOTING);
        assertThat(a.secondsToBoot()).isEqualTo(30);
        assertThat(again.needHall("1").laptop()).isEqualTo(HOPPED);
    }

    /**
     * Steps and seconds against degrees by the profile: pan 0.4 to 90 deg/s, gathered by 220 deg/s2
     * (v x v / 2a is lost at the start), end stop at 170.
     */
    @ParameterizedTest
    @CsvSource({
        "24, 0, 1, 71.6, 0",
        "-1, 0, 10, -4, 0",
        "24, 20, 100, 170, 90",
        "0, -20, 9, 0, -30",
        "0, 0, 5, 0, 0"
    })
    void aHeadMovesAsItsProfileSays(
            int pan, int tilt, int seconds, double panDegrees, double tiltDegrees) {
        var facts = ShippedProfiles.read("ceiling-ptz").orElseThrow().head().orElseThrow();
        HeadState state =
                HeadState.atPowerUp(START)
                        .driving(pan, tilt, facts)
                        .at(START.plusSeconds(seconds), facts);
        assertThat(state.pan()).isCloseTo(panDegrees, within(0.3));
        assertThat(state.tilt()).isCloseTo(tiltDegrees, within(0.3));
        assertThat(state.goingHome(facts).at(START.plusSeconds(seconds + 10), facts).pan())
                .isZero();
    }

    private int port(Form form) {
        Protocol wanted = form == Form.HEADER ? Protocol.VISCA_IP : Protocol.VISCA_UDP;
        return device("a").ports().stream()
                .filter(p -> p.protocol() == wanted)
                .mapToInt(DevicePort::port)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void portsAreThoseOfTheProfileAndAskingForThePhaseOpensNone() {
        RigDevice a = device("a");
        plug("a", true);
        assertThat(a.ports()).as("while it boots").isEmpty();
        pass(60);
        assertThat(a.phase()).isEqualTo(RigDevice.Phase.UP);
        assertThat(a.headState()).as("nothing was opened").isEmpty();
        assertThat(a.ports())
                .extracting(DevicePort::protocol)
                .containsExactly(
                        Protocol.VISCA_IP,
                        Protocol.VISCA_UDP,
                        Protocol.ONVIF,
                        Protocol.WEB,
                        Protocol.RTSP);
        assertThat(a.headState()).isPresent();
        plug("a", false);
        assertThat(a.ports()).isEmpty();
    }

    private ViscaLink link(Form form) throws Exception {
        hall.moveLaptop(HOPPED);
        plug("a", true);
        hall.atMenu(device("a").plan().id(), device("a").settings());
        pass(60);
        assertThat(answering(FACTORY)).containsExactly("a");
        int port = port(form);
        var peer = new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
        return new ViscaLink(
                UdpTransport.open(peer), form, timer, InstantSource.system(), new WireLog(50));
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void itIsDrivenAndReadBackOverARealSocket(Form form) throws Exception {
        try (ViscaLink link = link(form)) {
            link.drive(24, 0).get(2, TimeUnit.SECONDS);
            pass(1);
            link.drive(0, 0).get(2, TimeUnit.SECONDS);
            pass(5);
            assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS))
                    .isEqualTo(new PanTilt(1296, 0));
            link.home().get(2, TimeUnit.SECONDS);
            pass(5);
            assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS))
                    .isEqualTo(new PanTilt(0, 0));
            assertThat(link.askVersion().get(2, TimeUnit.SECONDS).sockets()).isEqualTo(2);
        }
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void randomOctetsAreRefusedAndItGoesOnServing(Form form) throws Exception {
        try (ViscaLink link = link(form);
                DatagramSocket stranger = new DatagramSocket()) {
            int port = port(form);
            Random random = new Random(9);
            for (int i = 0; i < 2_000; i++) {
                byte[] noise = new byte[random.nextInt(1_400)];
                random.nextBytes(noise);
                stranger.send(
                        new DatagramPacket(
                                noise, noise.length, InetAddress.getLoopbackAddress(), port));
            }
            stranger.setSoTimeout(2_000);
            stranger.receive(new DatagramPacket(new byte[100], 100));
            assertThat(link.askVersion().get(5, TimeUnit.SECONDS).model()).isEqualTo(0x20);
        }
    }

    @Test
    void theControlInterfaceRefusesInPlainWords() throws Exception {
        try (RigServer server = new RigServer(rig, 0, () -> {})) {
            HttpClient http = HttpClient.newHttpClient();
            for (String[] c :
                    new String[][] {
                        {"GET", "/halls/9", "", "404"},
                        {"PUT", "/halls/1/laptop", "{\"address\":\"10.44\"", "400"},
                        {
                            "PUT",
                            "/halls/1/laptop",
                            "{\"address\":\"10.44.8.256\",\"prefix\":24,\"gateway\":\"\"}",
                            "400"
                        },
                        {"PUT", "/clock", "{\"speed\":0}", "400"},
                        {"PUT", "/halls/1/devices/z/plug", "{\"plugged\":true}", "404"},
                        {
                            "PUT",
                            "/halls/2",
                            "{\"job\":{\"format\":\"jerboa-job\",\"devices\":[{\"id\":1,\"name\":\"x\",\"profile\":\"../x\"}]}}",
                            "400"
                        },
                        {"DELETE", "/halls/1", "", "404"},
                        {"PUT", "/halls/1/devices/1/ports/PORT%201", "{\"state\":\"off\"}", "200"},
                        {"PUT", "/halls/1/devices/1/ports/PORT%201", "{\"state\":\"loud\"}", "400"},
                        {"PUT", "/halls/1/runs/7/plug", "{\"on\":true}", "404"},
                        {"PUT", "/halls/1/devices/1/save-cut", "{}", "400"},
                        {"PUT", "/halls/1/controllers/1/press", "{\"key\":1}", "400"},
                        {"PUT", "/clock", "{\"speed\":20}", "200"},
                        {"GET", "/halls/1", "", "200"}
                    }) {
                var request =
                        HttpRequest.newBuilder(
                                        URI.create("http://127.0.0.1:" + server.port() + c[1]))
                                .timeout(Duration.ofSeconds(5))
                                .method(c[0], HttpRequest.BodyPublishers.ofString(c[2]))
                                .build();
                var response = http.send(request, HttpResponse.BodyHandlers.ofString());
                assertThat(response.statusCode())
                        .as(String.join(" ", c))
                        .isEqualTo(Integer.parseInt(c[3]));
                assertThat(response.body()).doesNotContain("Exception").doesNotContain("\tat ");
            }
            assertThat(rig.clock().speed()).isEqualTo(20);
        }
    }
}
