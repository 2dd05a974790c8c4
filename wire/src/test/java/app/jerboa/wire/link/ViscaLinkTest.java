package app.jerboa.wire.link;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.session.Stopping;
import app.jerboa.wire.link.session.ViscaLink;
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
import java.util.Deque;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
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

        /** What it loses besides, in the order it came. */
        final List<ViscaRequest> lost = new CopyOnWriteArrayList<>();

        volatile Predicate<ViscaRequest> loses = request -> false;
        final AtomicInteger drop = new AtomicInteger();
        final AtomicInteger position = new AtomicInteger();

        /** Control replies in the place of an answer, one a request, until there are none left. */
        final Deque<Octets> refusals = new ConcurrentLinkedDeque<>();

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
            if (loses.test(request.get())) {
                lost.add(request.get());
                return;
            }
            Octets refusal = refusals.poll();
            if (refusal != null) {
                byte[] no =
                        new IpPacket(IpPacket.Type.CONTROL_REPLY, sequence, refusal)
                                .encode()
                                .toArray();
                socket.send(new DatagramPacket(no, no.length, to.getSocketAddress()));
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
            link.drive(3, -2).get(2, TimeUnit.SECONDS);
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
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
            assertThat(camera.heard).contains(ViscaRequest.Drive.STOP, ViscaRequest.Zoom.STOP);
        }
    }

    /** 40 quick ones are over after 3 s; the stop is not. */
    @Test
    void aStopOutlivesALinkThatIsOutForLong() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(85);
            assertThat(link.stop().get(10, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
        }
    }

    @Test
    void aStopThatIsAskedForTwiceEndsForBoth() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            var first = link.stop();
            var second = link.stop();
            assertThat(List.of(first.get(5, TimeUnit.SECONDS), second.get(5, TimeUnit.SECONDS)))
                    .containsOnly(Stopping.Outcome.STANDING);
        }
    }

    @Test
    void aLostHomeIsNotSentAgainAfterAStop() throws Exception {
        try (Camera camera = new Camera(Form.RAW);
                ViscaLink link = link(camera)) {
            camera.loses = ViscaRequest.Home.class::isInstance;
            var home = link.home();
            await().until(() -> !camera.lost.isEmpty());
            var stop = link.stop();
            // From here on nothing is lost any more, so that one sent again would be heard.
            await().until(() -> camera.heard.contains(ViscaRequest.Drive.STOP));
            camera.loses = request -> false;
            assertThat(stop.get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
            assertThatThrownBy(home::get).hasRootCauseMessage("replaced by a newer command");
            link.askVersion().get(2, TimeUnit.SECONDS);
            assertThat(camera.heard).doesNotContain(new ViscaRequest.Home());
        }
    }

    @Test
    void aHomeOvertakesAStopThatStillLooks() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            var stopping = link.stop();
            link.home().get(2, TimeUnit.SECONDS);
            assertThat(stopping.get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.OVERTAKEN);
        }
    }

    @Test
    void whoFailsAtTheLogHarmsNoFrame() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            log.listen(
                    entry -> {
                        throw new IllegalStateException("a browser that is gone");
                    });
            link.drive(3, 0).get(2, TimeUnit.SECONDS);
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
            assertThat(link.askVersion().get(2, TimeUnit.SECONDS)).isNotNull();
        }
    }

    /** Whoever waits may call back into the link from any thread: it must not be locked then. */
    @Test
    void whoIsReplacedIsToldOutsideTheLock() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(2);
            var calledBack =
                    link.drive(1, 0)
                            .handle((r, f) -> CompletableFuture.supplyAsync(link::home).join());
            link.drive(2, 0);
            calledBack.get(2, TimeUnit.SECONDS);
        }
    }

    @Test
    void aSequenceNumberThatIsRefusedIsGivenAnew() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.refusals.add(IpPacket.SEQUENCE_ERROR);
            assertThat(link.askVersion().get(2, TimeUnit.SECONDS)).isNotNull();
            camera.refusals.addAll(List.of(IpPacket.SEQUENCE_ERROR, IpPacket.SEQUENCE_ERROR));
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
            assertThat(log.entries())
                    .extracting(WireLog.Entry::meaning)
                    .contains("refused: sequence number");
        }
    }

    @Test
    void aNumberRefusedOnAResendMeansThatTheFirstWasReceived() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            link.askVersion().get(2, TimeUnit.SECONDS);
            camera.drop.set(1);
            camera.refusals.add(IpPacket.SEQUENCE_ERROR);
            assertThat(link.home().get(2, TimeUnit.SECONDS)).isEqualTo(new ViscaReply.Ack(0));
            assertThat(camera.heard).doesNotContain(new ViscaRequest.Home());
        }
    }

    @Test
    void whatTheCameraCannotReadFailsButAStopGoesOn() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.refusals.add(IpPacket.MESSAGE_ERROR);
            assertThatThrownBy(() -> link.home().get(2, TimeUnit.SECONDS))
                    .hasRootCauseMessage("the camera could not read \"home\"");
            camera.refusals.addAll(List.of(IpPacket.MESSAGE_ERROR, IpPacket.MESSAGE_ERROR));
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.STANDING);
        }
    }

    @Test
    void aHeadThatStillMovesIsStoppedAgain() throws Exception {
        try (Camera camera = new Camera(Form.RAW);
                ViscaLink link = link(camera)) {
            camera.drift = 7;
            var stopping = link.stop();
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
            // From the start: one that stands is seen to stand before anything overtakes.
            camera.drift = 7;
            var stopping = link.stop();
            await().until(() -> camera.heard.contains(ViscaRequest.Zoom.STOP));
            link.drive(5, 0).get(2, TimeUnit.SECONDS);
            assertThat(stopping.get(5, TimeUnit.SECONDS)).isEqualTo(Stopping.Outcome.OVERTAKEN);
            // On a busy machine the stop itself may be sent twice; what counts is who comes last.
            assertThat(camera.heard)
                    .filteredOn(ViscaRequest.Drive.class::isInstance)
                    .last()
                    .isEqualTo(new ViscaRequest.Drive(5, 0));
        }
    }

    @Test
    void theNewestDriveWins() throws Exception {
        try (Camera camera = new Camera(Form.HEADER);
                ViscaLink link = link(camera)) {
            camera.drop.set(2);
            var older = link.drive(1, 0);
            var newer = link.drive(9, 0);
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
