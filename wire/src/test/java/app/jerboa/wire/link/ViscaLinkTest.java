package app.jerboa.wire.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.session.Stopping;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.link.udp.UdpTransport;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.Version;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ZoomPosition;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Links against a scripted camera on a real loopback socket that loses and reorders what it is told
 * to.
 */
class ViscaLinkTest {
    /** Answers like a camera; drops the first {@code drop} datagrams it gets. */
    private static final class Camera implements AutoCloseable {
        final DatagramSocket socket;
        final Form form;
        final List<ViscaRequest> heard = new CopyOnWriteArrayList<>();
        final AtomicInteger drop = new AtomicInteger();
        final AtomicInteger position = new AtomicInteger();
        volatile int drift;
        volatile int peerPort;

        Camera(Form form) throws IOException {
            this.form = form;
            this.socket =
                    new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
            Thread thread = new Thread(this::serve);
            thread.setDaemon(true);
            thread.start();
        }

        private void serve() {
            DatagramPacket packet = new DatagramPacket(new byte[100], 100);
            try {
                while (true) {
                    packet.setLength(100);
                    socket.receive(packet);
                    peerPort = packet.getPort();
                    Octets datagram =
                            Octets.of(Arrays.copyOf(packet.getData(), packet.getLength()));
                    if (drop.getAndUpdate(left -> Math.max(0, left - 1)) == 0) {
                        answer(datagram, packet);
                    }
                }
            } catch (IOException closed) {
                socket.close();
            }
        }

        private void answer(Octets datagram, DatagramPacket to) throws IOException {
            long sequence =
                    form == Form.RAW
                            ? 0
                            : IpPacket.decode(datagram).toOptional().orElseThrow().sequence();
            Octets frame = form == Form.RAW ? datagram : datagram.slice(8, datagram.size());
            var request =
                    ViscaRequest.decode(frame).toOptional().map(ViscaRequest.Addressed::request);
            if (request.isEmpty()) {
                return;
            }
            heard.add(request.get());
            position.addAndGet(drift);
            for (ViscaReply reply : replies(request.get())) {
                Octets octets = reply.encode(1);
                byte[] bytes =
                        (form == Form.RAW
                                        ? octets
                                        : new IpPacket(IpPacket.Type.REPLY, sequence, octets)
                                                .encode())
                                .toArray();
                socket.send(new DatagramPacket(bytes, bytes.length, to.getSocketAddress()));
            }
        }

        private List<ViscaReply> replies(ViscaRequest request) {
            if (request instanceof ViscaRequest.AskPanTilt) {
                return List.of(new PanTilt(position.get(), 0).answer());
            }
            if (request instanceof ViscaRequest.AskZoom) {
                return List.of(new ZoomPosition(5).answer());
            }
            return request instanceof ViscaRequest.AskVersion
                    ? List.of(new Version(1, 2, 3, 2).answer())
                    : List.of(new ViscaReply.Ack(1), new ViscaReply.Completed(1));
        }

        @Override
        public void close() {
            socket.close();
        }
    }

    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(1);
    private final WireLog log = new WireLog(100);

    private ViscaLink link(Camera camera) throws IOException {
        var peer =
                new InetSocketAddress(
                        InetAddress.getLoopbackAddress(), camera.socket.getLocalPort());
        return new ViscaLink(
                UdpTransport.open(peer), camera.form, timer, InstantSource.system(), log);
    }

    @AfterEach
    void shutDown() {
        timer.shutdownNow();
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void asksAndDrives(Form form) throws Exception {
        try (Camera camera = new Camera(form);
                ViscaLink link = link(camera)) {
            assertThat(link.askVersion().get(2, TimeUnit.SECONDS))
                    .isEqualTo(new Version(1, 2, 3, 2));
            assertThat(link.askZoom(true).get(2, TimeUnit.SECONDS)).isEqualTo(new ZoomPosition(5));
            link.drive(new ViscaRequest.Drive(3, -2)).get(2, TimeUnit.SECONDS);
            assertThat(camera.heard).last().isEqualTo(new ViscaRequest.Drive(3, -2));
            assertThat(log.entries())
                    .extracting(WireLog.Entry::meaning)
                    .contains("ask version", "acknowledged, socket 1");
        }
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void whatIsLostIsSentAgain(Form form) throws Exception {
        try (Camera camera = new Camera(form);
                ViscaLink link = link(camera)) {
            camera.drop.set(2);
            assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS))
                    .isEqualTo(new PanTilt(0, 0));
        }
    }

    @Test
    void aStopIsRepeatedUntilItIsAcknowledged() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(12);
            assertThat(Stopping.stop(link).get(5, TimeUnit.SECONDS))
                    .isEqualTo(Stopping.Outcome.STANDING);
            assertThat(camera.heard).contains(ViscaRequest.Drive.STOP, ViscaRequest.Zoom.STOP);
        }
    }

    @Test
    void aHeadThatStillMovesIsStoppedAgain() throws Exception {
        try (Camera camera = new Camera(Form.RAW);
                ViscaLink link = link(camera)) {
            camera.drift = 7;
            var stopping = Stopping.stop(link);
            await().until(
                            () ->
                                    camera.heard.stream()
                                                    .filter(ViscaRequest.Drive.STOP::equals)
                                                    .count()
                                            >= 2);
            camera.drift = 0;
            assertThat(stopping.get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
        }
    }

    @Test
    void aStopThatStillLooksDoesNotStopANewerDrive() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            var stopping = Stopping.stop(link);
            await().until(() -> camera.heard.contains(ViscaRequest.Zoom.STOP));
            camera.drift = 7;
            link.drive(new ViscaRequest.Drive(5, 0)).get(2, TimeUnit.SECONDS);
            assertThat(stopping.get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.OVERTAKEN);
            assertThat(camera.heard).filteredOn(ViscaRequest.Drive.STOP::equals).hasSize(1);
        }
    }

    @Test
    void theNewestDriveWins() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(2);
            var older = link.drive(new ViscaRequest.Drive(1, 0));
            var newer = link.drive(new ViscaRequest.Drive(9, 0));
            newer.get(2, TimeUnit.SECONDS);
            assertThatThrownBy(older::get).hasRootCauseInstanceOf(NoAnswer.class);
            assertThat(camera.heard).doesNotContain(new ViscaRequest.Drive(1, 0));
        }
    }

    @Test
    void silenceEndsInAPlainNo() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(1_000);
            assertThatThrownBy(() -> link.askVersion().get(3, TimeUnit.SECONDS))
                    .hasRootCauseMessage("no answer to \"ask version\"");
        }
    }

    @Test
    void randomRepliesHurtNobody() throws Exception {
        try (Camera camera = new Camera(Form.RAW);
                ViscaLink link = link(camera)) {
            link.askVersion().get(2, TimeUnit.SECONDS);
            Random random = new Random(3);
            for (int i = 0; i < 500; i++) {
                byte[] noise = new byte[1 + random.nextInt(60)];
                random.nextBytes(noise);
                camera.socket.send(new DatagramPacket(noise, noise.length, lastPeer(camera)));
            }
            assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS))
                    .isEqualTo(new PanTilt(0, 0));
        }
    }

    private static InetSocketAddress lastPeer(Camera camera) {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), camera.peerPort);
    }
}
