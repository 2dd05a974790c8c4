package app.jerboa.standin.lan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.fault.Fault;
import app.jerboa.standin.fault.Faults;
import app.jerboa.wire.octets.Octets;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Tunnels, air, a switcher and bad leads of a hall. */
class NetworkThingsTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private Hall hall;

    private Hall asPlanned(JsonNode file) {
        hall = rig.furnish("1", file);
        hall.begin("as-planned");
        pass(400);
        hall.settle();
        return hall;
    }

    private void pass(int seconds) {
        now.updateAndGet(t -> t.plusSeconds(seconds));
    }

    @AfterEach
    void close() {
        hall.close();
    }

    private boolean answers(String address) {
        return !hall.answering(Ipv4.parse(address)).isEmpty();
    }

    private int delay(long device) {
        return hall.need(new DeviceId(device)).gate().delayMillis();
    }

    /** Two sites, a box at each end; without the relay the far one is out of reach. */
    @Test
    void aTunnelCarriesWhileItsRelayIsUp() {
        asPlanned(
                TestJob.empty()
                        .device(1, "here", "poe-switch-8", "10.44.8.2")
                        .device(2, "there", "poe-switch-8", "10.44.8.3")
                        .device(3, "box here", "tunnel-box", "10.44.8.6")
                        .device(4, "box there", "tunnel-box", "10.44.8.7")
                        .device(5, "camera", "ceiling-ptz", "10.44.8.21")
                        .device(6, "more", "ceiling-ptz", "10.44.8.22")
                        .run(101, 1, "PORT 1", 3, "DEVICES", "data")
                        .run(102, 2, "PORT 1", 4, "DEVICES", "data")
                        .run(103, 2, "PORT 2", 5, "LAN", "data")
                        .run(104, 1, "PORT 2", 6, "LAN", "data")
                        .file());
        hall.plugLaptop(Optional.of(new DeviceId(1)));
        assertThat(answers("10.44.8.21")).isTrue();
        assertThat(delay(5)).isEqualTo(Hall.TUNNEL_MILLIS);
        assertThat(delay(6)).isZero();
        hall.plugLaptop(Optional.of(new DeviceId(2)));
        assertThat(delay(5)).as("from the other site").isZero();
        assertThat(delay(6)).isEqualTo(Hall.TUNNEL_MILLIS);
        hall.plugLaptop(Optional.of(new DeviceId(1)));
        hall.relay(false);
        assertThat(answers("10.44.8.21")).isFalse();
        assertThat(answers("10.44.8.22")).isTrue();
    }

    /** The bridge's wire is pulled: eight seconds later it is there by air. */
    @ParameterizedTest
    @CsvSource({"7,false", "8,true"})
    void aBridgeFallsBackToTheAir(int seconds, boolean there) {
        JsonNode file = TestJob.demo();
        asPlanned(file);
        assertThat(answers("10.44.8.5")).isTrue();
        hall.power(new DeviceId(60), true);
        hall.plugRun(86, false);
        pass(seconds);
        assertThat(answers("10.44.8.5")).isEqualTo(there);
    }

    /** Wireless on, a hopped laptop still reaches the house; off, it does not. */
    @ParameterizedTest
    @CsvSource({"true,true", "false,false"})
    void theLaptopsWirelessGoesItsOwnWay(boolean on, boolean reached) {
        asPlanned(TestJob.demo());
        hall.moveLaptop(new NetworkSettings(Ipv4.parse("192.168.77.250"), 24, ""));
        hall.laptopWireless(on);
        assertThat(answers("10.44.8.21")).isEqualTo(reached);
    }

    /** What is wrong with a lead by its plan comes true when it is plugged. */
    @ParameterizedTest
    @CsvSource({
        "106, metres, 40, noisy, 18",
        "105, fromPins, straight, mis-pinned, 17",
        "107, toPins, first-to-minus, crossed, 19",
        "77, metres, 120, broken, 7",
        "77, fromPins, t568a, mis-pinned, 7"
    })
    void aRunThatThePlanCallsWrongBehavesWrong(
            long run, String field, String value, String fault, long deaf) {
        JsonNode file = TestJob.demo();
        for (JsonNode r : file.get("runs")) {
            if (r.get("id").asLong() == run) {
                var node = (ObjectNode) r;
                if (field.equals("metres")) {
                    node.put(field, Integer.parseInt(value));
                } else {
                    node.put(field, value);
                    if (value.equals("straight")) {
                        node.put("toPins", "cascade");
                    }
                }
            }
        }
        asPlanned(file);
        hall.power(new DeviceId(19), true);
        pass(60);
        Truth truth = Truth.of(hall);
        assertThat(truth.runs())
                .filteredOn(r -> r.id() == run)
                .allSatisfy(r -> assertThat(r.fault()).map(RunFault::toString).contains(fault));
        assertThat(truth.keys()).noneMatch(k -> k.moves().contains(deaf));
    }

    /** Inputs with their formats, programme and preview, told to everybody who is there. */
    @Test
    void aSwitcherTellsItsInputsAndItsTally() throws Exception {
        asPlanned(TestJob.demo());
        int port =
                hall.need(new DeviceId(30)).ports().stream()
                        .filter(p -> p.protocol() == Protocol.SWITCHER)
                        .findFirst()
                        .orElseThrow()
                        .port();
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
                BufferedReader in =
                        new BufferedReader(
                                new InputStreamReader(
                                        socket.getInputStream(), StandardCharsets.UTF_8))) {
            socket.setSoTimeout(5_000);
            JsonNode said = ask(socket, in, "{\"programme\":5}");
            assertThat(said.get("programme").asInt()).isEqualTo(5);
            assertThat(said.get("inputs").get("5").get("from").asString()).isEqualTo("L6");
            assertThat(said.get("inputs").get("5").get("shown").asBoolean())
                    .as("its dial is at another format: black")
                    .isFalse();
            assertThat(said.get("inputs").get("1").get("shown").asBoolean()).isTrue();
            assertThat(ask(socket, in, "{\"cut\":true}").get("preview").asInt()).isEqualTo(5);
            assertThat(ask(socket, in, "{\"programme\":9}").has("refused")).isTrue();
            assertThat(ask(socket, in, "programme").has("refused")).isTrue();
            assertThat(Truth.of(hall).switchers().get("30").tally()).isEqualTo("L2");
        }
    }

    private static JsonNode ask(Socket socket, BufferedReader in, String line) throws Exception {
        socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        return Json.MAPPER.readTree(in.readLine());
    }

    /** A serial lead that rides the network: both ways subscribed, one way, or none. */
    @ParameterizedTest
    @CsvSource({"to-camera from-camera, true, true", "to-camera, true, false", "'', false, false"})
    void aSerialLeadRidesADecoder(String subscribed, boolean moves, boolean answers)
            throws Exception {
        asPlanned(
                TestJob.empty()
                        .device(1, "switch", "poe-switch-16", "10.44.8.2")
                        .device(2, "encoder", "av-encoder", "10.44.8.61")
                        .device(3, "decoder", "av-decoder-serial", "10.44.8.62")
                        .device(4, "stick", "serial-stick-7", "")
                        .device(5, "camera", "ceiling-ptz-serial", "")
                        .run(101, 1, "PORT 1", 2, "LAN", "data")
                        .run(102, 1, "PORT 2", 3, "LAN", "data")
                        .run(103, 4, "RS-232", 2, "RS-232", "serial")
                        .run(104, 3, "RS-232", 5, "VISCA IN", "serial")
                        .with("runs", 104, "subscribed", subscribed)
                        .line(5, 1, 1, 4, 1)
                        .file());
        DeviceId stick = new DeviceId(4);
        assertThat(new Sticks(hall).moves(stick, 1).size()).isEqualTo(moves ? 1 : 0);
        List<Octets> back = new CopyOnWriteArrayList<>();
        hall.lines(stick).get(0).say(Octets.ofHex("81 09 00 02 FF"), back::add);
        new Sticks(hall).stick(stick, 1, 0);
        await().until(hall::quiet);
        boolean drove = hall.need(new DeviceId(5)).lastDrive().isPresent();
        assertThat(drove).isEqualTo(moves);
        await().until(() -> !back.isEmpty() == answers);
        hall.plugRun(102, false);
        assertThat(new Sticks(hall).moves(stick, 1)).as("no network, no lead").isEmpty();
    }

    /** A recorder's channel takes the stream of whoever stands at its address. */
    @ParameterizedTest
    @CsvSource({"10.44.8.21,554,7", "10.44.8.22,554,8", "10.44.8.21,80,", "10.44.8.99,554,"})
    void aRecordersChannelHoldsAnEntry(String address, int port, Long from) {
        asPlanned(TestJob.demo());
        hall.entries(new DeviceId(32))
                .orElseThrow()
                .enter(
                        3,
                        Optional.of(
                                new Entry(
                                        Optional.of(Ipv4.parse(address)),
                                        port,
                                        Protocol.RTSP,
                                        0,
                                        "")));
        assertThat(Truth.of(hall).channels())
                .singleElement()
                .satisfies(
                        c ->
                                assertThat(c.from())
                                        .isEqualTo(from == null ? List.of() : List.of(from)));
    }

    /** A camera with a return picture loses it. */
    @Test
    void aReturnPictureIsPulled() {
        asPlanned(
                TestJob.empty()
                        .device(1, "switcher", "sdi-switcher-8", "10.44.8.61")
                        .device(2, "box", "box-camera-network", "10.44.8.28")
                        .run(101, 1, "AUX 1", 2, "SDI IN", "coax-rg6")
                        .file());
        List<Faults.Put> put = new Faults(hall).seeded(1, 100);
        assertThat(put).extracting(Faults.Put::fault).contains(Fault.NO_RETURN);
        assertThat(Truth.of(hall).runs()).allMatch(r -> !r.plugged());
    }
}
