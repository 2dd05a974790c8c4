package app.jerboa.standin.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import app.jerboa.standin.Tool;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.lan.Hall;
import app.jerboa.standin.lan.Port;
import app.jerboa.standin.lan.RigDevice;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.snmp.SwitchReader;
import app.jerboa.wire.link.snmp.SwitchTables;
import java.awt.Color;
import java.io.ByteArrayInputStream;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What other people's programs read of a hall's devices, over real loopback sockets. */
class AskedTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final DeviceId SWITCH = new DeviceId(26);
    private static final DeviceId L1 = new DeviceId(7);

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private final Hall hall = rig.furnish("1", TestJob.demo());

    @BeforeEach
    void asPlanned() {
        hall.begin("as-planned");
        now.updateAndGet(t -> t.plusSeconds(400));
    }

    @AfterEach
    void close() {
        hall.close();
    }

    private int port(DeviceId id, Protocol protocol) {
        RigDevice d = hall.need(id);
        return d.ports().stream()
                .filter(p -> p.protocol() == protocol)
                .findFirst()
                .orElseThrow()
                .port();
    }

    private String walk(String oid) throws Exception {
        return Tool.text(
                "snmpwalk",
                "-v2c",
                "-c",
                "public",
                "-On",
                "-t",
                "2",
                "-r",
                "0",
                "127.0.0.1:" + port(SWITCH, Protocol.SNMP),
                oid);
    }

    @Test
    void snmpwalkReadsASwitch() throws Exception {
        assertThat(walk("1.3.6.1.2.1.1")).contains("PoE+ switch, 16 ports, 130 W");
        assertThat(walk("1.3.6.1.2.1.31.1.1.1.1")).contains("PORT 16", "UPLINK 2");
        assertThat(walk("1.3.6.1.2.1.2.2.1.8"))
                .as("port 1 has its light, port 11 none")
                .contains(".8.1 = INTEGER: 1", ".8.11 = INTEGER: 2");
        assertThat(walk("1.3.6.1.2.1.17.4.3.1.2"))
                .as("L1 is heard at port 1")
                .contains(".2.74.32.0.0.1 = INTEGER: 1");
        assertThat(walk("1.3.6.1.2.1.105.1.1.1.6")).contains(".6.1.1 = INTEGER: 3");
        assertThat(walk("1.3.6.1.2.1.105.1.1.1.10")).contains(".10.1.1 = INTEGER: 5");
        assertThat(walk("1.3.6.1.2.1.105.1.3.1.1")).contains(".2.1 = Gauge32: 130");
        assertThat(walk("1.0.8802.1.1.2.1.4.1.1.9")).contains("Balcony switch");
    }

    /** Our own reader sees the same: ports, who is heard at each, neighbours, power. */
    @Test
    void ourReaderReadsASwitch() {
        SwitchTables tables =
                SwitchReader.read(
                        new InetSocketAddress(
                                InetAddress.getLoopbackAddress(), port(SWITCH, Protocol.SNMP)),
                        SnmpPort.READS,
                        2_000);
        assertThat(tables.description()).isEqualTo("PoE+ switch, 16 ports, 130 W");
        assertThat(tables.ports()).hasSize(18);
        SwitchTables.PortRow first = tables.ports().get(0);
        assertThat(first.name()).isEqualTo("PORT 1");
        assertThat(first.up() && first.powers()).isTrue();
        assertThat(first.megabits()).isEqualTo(1_000);
        assertThat(first.powerClass()).hasValue(4);
        assertThat(tables.budgetWatts()).isEqualTo(130);
        assertThat(tables.givenWatts()).isBetween(1L, 130L);
        assertThat(first.heard()).containsExactly("02:4a:20:00:00:01");
        SwitchTables.PortRow uplink = tables.ports().get(17);
        assertThat(uplink.neighbour()).isEqualTo("Balcony switch");
        assertThat(uplink.heard()).hasSizeGreaterThan(2);
        assertThat(tables.ports().get(10).up()).isFalse();
    }

    @Test
    void aWrongCommunityGetsNoAnswer() {
        InetSocketAddress at =
                new InetSocketAddress(
                        InetAddress.getLoopbackAddress(), port(SWITCH, Protocol.SNMP));
        assertThatThrownBy(() -> SwitchReader.read(at, "other", 200)).isInstanceOf(NoAnswer.class);
    }

    /** Version 3 with authentication and privacy reads the same; a wrong one gets nothing. */
    @ParameterizedTest
    @CsvSource({SnmpPort.AUTHENTICATION + ",true", "something-else,false"})
    void snmpOfVersion3IsReadWithItsUser(String password, boolean read) throws Exception {
        String said =
                Tool.text(
                        "snmpget",
                        "-v3",
                        "-l",
                        "authPriv",
                        "-u",
                        SnmpPort.USER,
                        "-a",
                        "SHA-256",
                        "-A",
                        password,
                        "-x",
                        "AES",
                        "-X",
                        SnmpPort.PRIVACY,
                        "-On",
                        "-t",
                        "2",
                        "-r",
                        "0",
                        "127.0.0.1:" + port(SWITCH, Protocol.SNMP),
                        "1.3.6.1.2.1.1.5.0");
        assertThat(said.contains("PoE switch")).as(said).isEqualTo(read);
    }

    /** A port is switched by who may set; its camera loses its power. */
    @ParameterizedTest
    @CsvSource({"private,2,OFF,false", "public,2,ON,true", "private,1,ON,true"})
    void aSetSwitchesAPort(String community, String to, Port.State state, boolean powered)
            throws Exception {
        Tool.text(
                "snmpset",
                "-v2c",
                "-c",
                community,
                "127.0.0.1:" + port(SWITCH, Protocol.SNMP),
                "1.3.6.1.2.1.105.1.1.1.3.1.1",
                "i",
                to);
        assertThat(hall.portState(new Port(SWITCH, "PORT 1"))).isEqualTo(state);
        assertThat(hall.need(L1).powered()).isEqualTo(powered);
    }

    @Test
    void aSwitchWithItsAgentOffSaysNothing() throws Exception {
        hall.hand(SWITCH, new Hand.Turn("snmp", "off"));
        assertThat(walk("1.3.6.1.2.1.1")).containsIgnoringCase("timeout");
    }

    /** A still with the camera's name and clock, by a browser's tool and by one for pictures. */
    @Test
    void curlAndFfmpegFetchAStill() throws Exception {
        String url = "http://127.0.0.1:" + port(L1, Protocol.WEB) + "/still.jpg";
        byte[] jpeg = Tool.run(List.of("curl", "-s", "--anyauth", "-u", "admin:factory", url));
        var picture = ImageIO.read(new ByteArrayInputStream(jpeg));
        assertThat(picture.getWidth()).isEqualTo(960);
        assertThat(new Color(picture.getRGB(180, 90)).getBlue())
                .as("the second bar is yellow")
                .isLessThan(80);
        String user = url.replace("http://", "http://admin:factory@");
        assertThat(
                        Tool.text(
                                "ffmpeg",
                                "-hide_banner",
                                "-loglevel",
                                "info",
                                "-i",
                                user,
                                "-f",
                                "null",
                                "-"))
                .contains("mjpeg", "960x540");
        assertThat(Tool.text("curl", "-s", "-o", "/dev/null", "-w", "%{http_code}", url))
                .isEqualTo("401");
    }

    /** OPTIONS, then DESCRIBE with Digest: MD5 and SHA-256. */
    @ParameterizedTest
    @ValueSource(strings = {"MD5", "SHA-256"})
    void aNetworkPictureIsDescribedToWhoKnowsThePassword(String algorithm) throws Exception {
        try (Socket socket =
                new Socket(InetAddress.getLoopbackAddress(), port(L1, Protocol.RTSP))) {
            socket.setSoTimeout(5_000);
            assertThat(ask(socket, "OPTIONS", "")).contains("200 OK", "DESCRIBE");
            String refused = ask(socket, "DESCRIBE", "");
            assertThat(refused).contains("401", "algorithm=SHA-256", "algorithm=MD5");
            Matcher nonce = Pattern.compile("nonce=\"([^\"]+)\"").matcher(refused);
            assertThat(nonce.find()).isTrue();
            String right = digest(algorithm, nonce.group(1), "factory");
            assertThat(ask(socket, "DESCRIBE", digest(algorithm, nonce.group(1), "x")))
                    .contains("401");
            assertThat(ask(socket, "DESCRIBE", right))
                    .contains("200 OK", "a=framesize:96 1920-1080", "a=framerate:50");
        }
    }

    private static String ask(Socket socket, String method, String authorization) throws Exception {
        String head =
                method
                        + " rtsp://10.44.8.21/1 RTSP/1.0\r\nCSeq: 7\r\n"
                        + (authorization.isEmpty()
                                ? ""
                                : "Authorization: " + authorization + "\r\n")
                        + "\r\n";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        StringBuilder said = new StringBuilder();
        byte[] chunk = new byte[4096];
        while (!said.toString().contains("\r\n\r\n")
                || said.indexOf("sdp") > 0 && said.indexOf("track1") < 0) {
            int n = socket.getInputStream().read(chunk);
            said.append(new String(chunk, 0, n, StandardCharsets.UTF_8));
        }
        return said.toString();
    }

    private static String digest(String algorithm, String nonce, String password) throws Exception {
        String uri = "rtsp://10.44.8.21/1";
        String mine = hash(algorithm, "admin:camera:" + password);
        String asked = hash(algorithm, "DESCRIBE:" + uri);
        String response = hash(algorithm, mine + ":" + nonce + ":00000001:abc:auth:" + asked);
        return "Digest username=\"admin\", realm=\"camera\", nonce=\""
                + nonce
                + "\", uri=\""
                + uri
                + "\", algorithm="
                + algorithm
                + ", qop=auth, nc=00000001, cnonce=\"abc\", response=\""
                + response
                + "\"";
    }

    private static String hash(String algorithm, String text) throws Exception {
        return HexFormat.of()
                .formatHex(
                        MessageDigest.getInstance(algorithm)
                                .digest(text.getBytes(StandardCharsets.UTF_8)));
    }

    /** A probe for cameras is answered by its device, one for printers is not. */
    @ParameterizedTest
    @CsvSource({"NetworkVideoTransmitter,true", "Printer,false", "'',true"})
    void aProbeFindsACamera(String type, boolean found) throws Exception {
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            socket.setSoTimeout(found ? 5_000 : 300);
            byte[] probe = Probes.probe(type).getBytes(StandardCharsets.UTF_8);
            socket.send(
                    new DatagramPacket(
                            probe,
                            probe.length,
                            InetAddress.getLoopbackAddress(),
                            port(L1, Protocol.ONVIF)));
            DatagramPacket answer = new DatagramPacket(new byte[65_536], 65_536);
            try {
                socket.receive(answer);
            } catch (SocketTimeoutException silent) {
                assertThat(found).isFalse();
                return;
            }
            assertThat(new String(answer.getData(), 0, answer.getLength(), StandardCharsets.UTF_8))
                    .contains("http://10.44.8.21/onvif/device_service", Probes.MESSAGE);
            assertThat(found).isTrue();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "<",
                "<a><b></a>",
                "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><Probe>&e;</Probe>",
                "<Envelope><Probe/></Envelope>"
            })
    void whatIsNoProbeIsNotAnswered(String text) {
        assertThat(
                        ProbeAnswer.to(
                                text.getBytes(StandardCharsets.UTF_8),
                                new UUID(1, 2),
                                "http://a/",
                                SelfPortrait.of("a", "1")))
                .isEmpty();
    }

    /** Five wrong passwords shut the door for everybody, for five minutes of the world's time. */
    @Test
    void wrongPasswordsAtThePageShutADevice() throws Exception {
        String url = "http://127.0.0.1:" + port(L1, Protocol.WEB) + "/still.jpg";
        for (int i = 0; i < 5; i++) {
            Tool.text("curl", "-s", "--digest", "-u", "admin:wrong", "-o", "/dev/null", url);
            Tool.text("curl", "-s", "--basic", "-u", "admin:wrong", "-o", "/dev/null", url);
        }
        assertThat(status(url)).isEqualTo("401");
        now.updateAndGet(t -> t.plusSeconds(301));
        assertThat(status(url)).isEqualTo("200");
        Door open = Door.open("a", "b");
        open.tried(false);
        assertThat(open.shut()).isFalse();
    }

    private static String status(String url) throws Exception {
        return Tool.text(
                "curl",
                "-s",
                "--anyauth",
                "-u",
                "admin:factory",
                "-o",
                "/dev/null",
                "-w",
                "%{http_code}",
                url);
    }

    /**
     * In two namespaces joined by a cable of the machine's own, a probe to all finds the cameras.
     */
    @Test
    void aProbeToAllFindsCamerasOverACable() throws Exception {
        TwoNamespaces.whereAllowed(
                pair -> {
                    Process cameras =
                            pair.inside(
                                    Tool.java(
                                            "app.jerboa.standin.Main",
                                            "--device",
                                            "ceiling-ptz",
                                            "--bind",
                                            pair.inner(),
                                            "--discovery",
                                            "on",
                                            "--visca-ip",
                                            "52381"));
                    try {
                        assertThat(Probes.toAll(pair.outer()))
                                .contains("http://" + pair.inner() + "/onvif/device_service");
                    } finally {
                        cameras.destroy();
                    }
                });
    }
}
