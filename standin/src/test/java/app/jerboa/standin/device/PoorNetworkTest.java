package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.profile.Axis;
import app.jerboa.core.profile.Habit;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.wire.link.FramedStream;
import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.Transport;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.net.SharedUdp;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.AxisFrames;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.Health;
import app.jerboa.wire.link.session.MoreAxis;
import app.jerboa.wire.link.session.ProfileFrame;
import app.jerboa.wire.link.session.Stopping.Outcome;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.api.parallel.Resources;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Links to simulated heads over networks that lose, delay, reorder and double what they carry. */
@Execution(ExecutionMode.CONCURRENT)
class PoorNetworkTest {
    private static final Head FACTS =
            ShippedProfiles.read("ceiling-ptz").orElseThrow().head().orElseThrow();

    /** Three milliseconds and what reorders, and a busy machine. */
    private static final double ON_ITS_WAY_SECONDS = 0.3;

    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(2);
    private final List<AutoCloseable> open = new ArrayList<>();

    @AfterEach
    void close() throws Exception {
        for (AutoCloseable c : open) {
            c.close();
        }
        timer.shutdownNow();
    }

    private static SimulatedHead head() {
        return head(FACTS, ShippedProfiles.read("ceiling-ptz").orElseThrow());
    }

    private static SimulatedHead head(Head facts, Profile profile) {
        return new SimulatedHead(
                facts, new KnobBank(profile, 1), InstantSource.system(), InstantSource.system());
    }

    private static InetSocketAddress loopback(int port) {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
    }

    private ViscaLink link(Transport transport, Form form) {
        return link(transport, form, new WireLog(100));
    }

    private ViscaLink link(Transport transport, Form form, WireLog log) {
        ViscaLink link = new ViscaLink(transport, form, timer, InstantSource.system(), log);
        open.add(link);
        return link;
    }

    /** One head and its link. */
    private record Pair(SimulatedHead head, ViscaLink link, WireLog log) {}

    private Pair udp(Form form, Habits habits, Weather weather) throws IOException {
        SimulatedHead head = head();
        ViscaUdpPort port = ViscaUdpPort.open(loopback(0), form, head, habits, weather);
        open.add(port);
        WireLog log = new WireLog(400);
        return new Pair(head, link(UdpTransport.open(loopback(port.port())), form, log), log);
    }

    /** Where a head was when its stop was told. */
    private record Told(double pan, double tilt, long nanos) {
        static Told now(SimulatedHead head) {
            HeadState state = head.state();
            return new Told(state.pan(), state.tilt(), System.nanoTime());
        }

        /**
         * It went on no longer than until the last of its stop frames was there: what it can go in
         * that time, and in braking.
         */
        void insistOnNoFurther(Pair pair) {
            long last =
                    pair.log().entries().stream()
                            .filter(e -> e.direction() == WireLog.Direction.SENT)
                            .filter(e -> e.meaning().startsWith("stop"))
                            .mapToLong(WireLog.Entry::nanos)
                            .max()
                            .orElse(nanos);
            double seconds = Math.max(0, last - nanos) / 1e9 + ON_ITS_WAY_SECONDS;
            HeadState now = pair.head().state();
            insist(now.pan() - pan, FACTS.pan().fastest(), seconds);
            insist(now.tilt() - tilt, FACTS.tilt().fastest(), seconds);
        }

        private static void insist(double degrees, double fastest, double seconds) {
            double braking = fastest * fastest / 2 / FACTS.acceleration().orElseThrow();
            assertThat(Math.abs(degrees))
                    .as("further than %.3f s at %.0f degrees/s and braking", seconds, fastest)
                    .isLessThanOrEqualTo(fastest * seconds + braking);
        }
    }

    /**
     * Fifty heads at once, twenty sequences each: whatever was lost, doubled or came late, a stop
     * that ended well leaves a head that stands, and no stop stays owed.
     */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void noHeadGoesOnAfterItsStop(boolean refusesRepeats) throws Exception {
        Habits habits = new Habits(refusesRepeats, OptionalInt.empty());
        List<CompletableFuture<Void>> all = new ArrayList<>();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < (refusesRepeats ? 120 : 300); i++) {
            Weather poor = new Weather(30, 3, 20, 10, 100 + i);
            Pair pair = udp(Form.HEADER, habits, poor);
            pairs.add(pair);
            all.add(sequences(pair, new Random(i), refusesRepeats ? 1 : 3));
        }
        CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(100, TimeUnit.SECONDS);
        for (Pair pair : pairs) {
            double stood = pair.head().state().pan();
            assertThat(pair.head().state().panSpeed()).isZero();
            assertThat(pair.head().state().zoomSpeed()).isZero();
            assertThat(pair.head().state().pan()).isEqualTo(stood);
        }
    }

    private CompletableFuture<Void> sequences(Pair pair, Random random, int left) {
        if (left == 0) {
            return CompletableFuture.completedFuture(null);
        }
        int pan = random.nextInt(49) - 24;
        pair.link().drive(pan, random.nextInt(41) - 20);
        if (random.nextBoolean()) {
            pair.link().zoom(random.nextInt(17) - 8);
        }
        if (random.nextInt(4) == 0) {
            pair.link().home();
        }
        CompletableFuture<Outcome> stopped = new CompletableFuture<>();
        AtomicReference<Told> told = new AtomicReference<>();
        timer.schedule(
                () -> {
                    told.set(Told.now(pair.head()));
                    pair.link()
                            .stop()
                            .whenComplete(
                                    (o, failure) -> {
                                        if (failure == null) {
                                            stopped.complete(o);
                                        } else {
                                            stopped.completeExceptionally(failure);
                                        }
                                    });
                },
                random.nextInt(120),
                TimeUnit.MILLISECONDS);
        return stopped.thenCompose(
                outcome -> {
                    assertThat(outcome).isEqualTo(Outcome.STANDING);
                    assertThat(pair.head().state().panSpeed()).isZero();
                    assertThat(pair.head().state().tiltSpeed()).isZero();
                    assertThat(pair.head().state().zoomSpeed()).isZero();
                    told.get().insistOnNoFurther(pair);
                    return sequences(pair, random, left - 1);
                });
    }

    /** A lens that is driven from near to far stands after the stop of all, wherever it came to. */
    @Test
    void aFocusThatIsDrivenStopsWithTheRest() throws Exception {
        Habits usual = new Habits(false, OptionalInt.empty());
        ViscaLink link = udp(Form.HEADER, usual, new Weather(0, 0, 0, 0, 1)).link();
        Octets manual = Octets.of(0x81, 0x01, 0x04, 0x38, 0x03, 0xFF);
        link.tell(ProfileFrame.order(manual, Optional.empty()), false).get(2, TimeUnit.SECONDS);
        Octets before = focus(link);
        link.focus(4);
        await().until(() -> !focus(link).equals(before));
        assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        Octets stood = focus(link);
        await().pollDelay(150, TimeUnit.MILLISECONDS).until(() -> focus(link).equals(stood));
    }

    private static Octets focus(ViscaLink link) throws Exception {
        Octets ask = Octets.of(0x81, 0x09, 0x04, 0x48, 0xFF);
        return link.tell(ProfileFrame.question(ask, 4, Optional.empty()), true)
                .get(2, TimeUnit.SECONDS);
    }

    /**
     * A head that rolls, over a network that loses a third: whoever takes it over without having
     * driven it, as a server that starts again, brings it to rest on all its axes.
     */
    @Test
    void aRollIsStoppedByALinkThatDidNotDriveIt() throws Exception {
        Profile profile = ShippedProfiles.read("cinema-head").orElseThrow();
        Head facts = profile.head().orElseThrow();
        SimulatedHead head = head(facts, profile);
        ViscaUdpPort port =
                ViscaUdpPort.open(
                        loopback(0), Form.HEADER, head, Habits.USUAL, new Weather(30, 0, 0, 0, 1));
        open.add(port);
        Axis roll = facts.roll().orElseThrow();
        Map<MoreAxis, AxisFrames> axes =
                Map.of(MoreAxis.ROLL, AxisFrames.of(24, roll.drive(), roll.ask(), roll.answer()));
        ViscaLink drives = link(UdpTransport.open(loopback(port.port())), Form.HEADER);
        drives.has(axes);
        drives.axis(MoreAxis.ROLL, -20);
        await().until(() -> head.axes().get("roll") < -1);
        drives.close();
        ViscaLink takesOver = link(UdpTransport.open(loopback(port.port())), Form.HEADER);
        takesOver.has(axes);
        assertThat(takesOver.stop().get(10, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        assertThat(head.moving()).isFalse();
        double stands = head.axes().get("roll");
        // One question in some is lost as often as it is sent: whoever wants to know asks again.
        await().ignoreExceptions()
                .atMost(Duration.ofSeconds(30))
                .untilAsserted(
                        () ->
                                assertThat(
                                                takesOver
                                                                .askAxis(MoreAxis.ROLL, false)
                                                                .get(5, TimeUnit.SECONDS)
                                                        / 14.4)
                                        .isCloseTo(stands, within(0.04)));
        assertThat(takesOver.axis(MoreAxis.RAIL, 1)).isCompletedExceptionally();
    }

    /**
     * A camera whose recalls go on after a drive stop: cancelled by the second try. And one whose
     * second move is refused while one is under way: it is tried again, and comes at last.
     */
    @ParameterizedTest
    @EnumSource(
            value = Habit.class,
            names = {"STOP_LEAVES_RECALLS", "ONE_MOVE_AT_A_TIME"})
    void aStopEndsARecallWhateverItsHabits(Habit habit) throws Exception {
        String id = habit == Habit.STOP_LEAVES_RECALLS ? "ceiling-ptz-usb" : "ceiling-ptz-serial";
        Profile profile = ShippedProfiles.read(id).orElseThrow();
        assertThat(profile.habits()).contains(habit);
        Head slow = profile.head().orElseThrow();
        SimulatedHead head = head(slow, profile);
        ViscaUdpPort port = ViscaUdpPort.open(loopback(0), Form.HEADER, head);
        open.add(port);
        ViscaLink link = link(UdpTransport.open(loopback(port.port())), Form.HEADER);
        head.handle(ViscaRequest.Sent.of(ViscaMessage.ABSOLUTE, 24, 20, 2_200, 0), reply -> {});
        await().until(() -> head.state().pan() > 1);
        assertThat(link.stop().get(10, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        double there = head.state().pan();
        await().during(300, TimeUnit.MILLISECONDS)
                .until(() -> !head.state().homing() && head.state().pan() == there);
        assertThat(there).isLessThan(150);
    }

    /** Finer counts than 16 bits hold: read back as they are, to the left of the middle too. */
    @Test
    void aHeadThatCountsFinerIsReadBack() throws Exception {
        Profile profile = ShippedProfiles.read("compact-ptz-stream").orElseThrow();
        assertThat(profile.has(Habit.FIVE_NIBBLES)).isTrue();
        SimulatedHead head = head(profile.head().orElseThrow(), profile);
        ViscaUdpPort port = ViscaUdpPort.open(loopback(0), Form.RAW, head);
        open.add(port);
        ViscaLink link = link(UdpTransport.open(loopback(port.port())), Form.RAW);
        link.drive(-24, 0);
        await().until(() -> head.state().pan() < -5);
        assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        double counts = profile.head().orElseThrow().countsPerDegree();
        assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS).pan())
                .isEqualTo((int) Math.round(head.state().pan() * counts));
    }

    /** A poor link is called so, and a dead one lost, with why; nothing else may slow it. */
    @Test
    @ResourceLock(Resources.GLOBAL)
    void aLinkSaysHowItIs() throws Exception {
        Pair fine = udp(Form.HEADER, Habits.USUAL, Weather.fair());
        await().until(
                        () -> {
                            fine.link().askZoom(false).get(2, TimeUnit.SECONDS);
                            return fine.link().health().seen().state() == Health.State.UP;
                        });
        assertThat(fine.link().health().seen().halfWithinMillis()).isPresent();

        Pair slow = udp(Form.HEADER, Habits.USUAL, new Weather(0, 90, 0, 0, 1));
        await().until(
                        () -> {
                            slow.link().askZoom(false).get(2, TimeUnit.SECONDS);
                            return slow.link().health().seen().state() == Health.State.SLOW;
                        });

        Pair dead = udp(Form.HEADER, Habits.USUAL, new Weather(100, 0, 0, 0, 1));
        await().until(() -> dead.link().askZoom(false).handle((z, failure) -> true).get());
        assertThat(dead.link().health().seen().state()).isEqualTo(Health.State.LOST);
        assertThat(dead.link().health().seen().why()).contains("no answer");
        assertThat(dead.link().health().seen().missed()).isEqualTo(1);
    }

    /**
     * It answers to one port of the asker: a socket of its own hears nothing, the shared one does.
     */
    @Test
    void aCameraThatAnswersToOnePortIsHeardThere() throws Exception {
        SharedUdp shared = SharedUdp.bind(loopback(0));
        open.add(shared);
        SimulatedHead head = head();
        Habits habits = new Habits(false, OptionalInt.of(shared.port()));
        ViscaUdpPort port =
                ViscaUdpPort.open(loopback(0), Form.HEADER, head, habits, Weather.fair());
        open.add(port);
        InetSocketAddress at = loopback(port.port());
        ViscaLink deaf = link(UdpTransport.open(at), Form.HEADER);
        assertThat(
                        deaf.askZoom(false)
                                .handle((z, failure) -> failure != null)
                                .get(3, TimeUnit.SECONDS))
                .isTrue();
        ViscaLink hears = link(shared.to(at).orElseThrow(), Form.HEADER);
        assertThat(hears.askZoom(false).get(2, TimeUnit.SECONDS).counts()).isZero();
        assertThat(shared.to(at)).as("one link an address").isEmpty();
        hears.close();
        assertThat(shared.to(at)).isPresent();
    }

    /** Over TCP frames may come in pieces or joined, and the connection may end. */
    @Test
    void aHeadIsDrivenOverTcpAndFoundAgain() throws Exception {
        SimulatedHead head = head();
        TcpPort port =
                TcpPort.open(
                        loopback(0),
                        Protocol.VISCA_TCP,
                        new ViscaTcpEar(Gate.open(Optional.of(head))));
        InetSocketAddress at = loopback(port.port());
        TcpStream stream = TcpStream.open(at, timer);
        ViscaLink link = link(new FramedStream(stream), Form.RAW);
        await().until(() -> stream.trouble().isEmpty());
        link.drive(24, 0).get(2, TimeUnit.SECONDS);
        assertThat(head.state().panSpeed()).isPositive();
        assertThat(link.stop().get(3, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);

        link.drive(-24, 0).get(2, TimeUnit.SECONDS);
        port.close();
        await().until(() -> stream.trouble().isPresent());
        CompletableFuture<Outcome> owed = link.stop();
        TcpPort again =
                TcpPort.open(at, Protocol.VISCA_TCP, new ViscaTcpEar(Gate.open(Optional.of(head))));
        open.add(again);
        assertThat(owed.get(10, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        assertThat(head.state().panSpeed()).isZero();
    }

    /** A device without a free socket says so twice; the third time it has one. */
    @Test
    void aFullDeviceIsAskedAgain() throws Exception {
        Listeners listeners = new Listeners();
        AtomicInteger asked = new AtomicInteger();
        Transport full =
                new Transport() {
                    @Override
                    public void send(Octets octets, Sent sent) {
                        sent.sent(Optional.empty());
                        ViscaReply reply =
                                asked.incrementAndGet() < 3
                                        ? new ViscaReply.Refused(0, ViscaError.BUFFER_FULL)
                                        : new ViscaReply.Ack(1);
                        timer.execute(() -> listeners.tell(reply.encode(1)));
                    }

                    @Override
                    public Subscription listen(Consumer<Octets> onOctets) {
                        return listeners.add(onOctets);
                    }

                    @Override
                    public void close() {
                        // Nothing is open.
                    }
                };
        ViscaLink link = link(full, Form.RAW);
        assertThat(link.home().get(3, TimeUnit.SECONDS)).isEqualTo(new ViscaReply.Ack(1));
        assertThat(asked).hasValue(3);
    }
}
