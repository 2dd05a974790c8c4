package app.jerboa.standin.serial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.serial.SerialTiming;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.TcpPort;
import app.jerboa.standin.device.Timers;
import app.jerboa.standin.serial.SimulatedLine.Kind;
import app.jerboa.standin.serial.SimulatedLine.Station;
import app.jerboa.wire.dprotocol.DForm;
import app.jerboa.wire.dprotocol.DMessage;
import app.jerboa.wire.link.Listeners;
import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.Subscription;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.line.ChainNumbering;
import app.jerboa.wire.link.line.DLine;
import app.jerboa.wire.link.line.SharedLine;
import app.jerboa.wire.link.line.ViscaLine;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.serial.SerialPortStream;
import app.jerboa.wire.link.session.BusLink;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.link.session.Health;
import app.jerboa.wire.link.session.ProfileFrame;
import app.jerboa.wire.link.session.Stopping.Outcome;
import app.jerboa.wire.link.session.ViscaLink;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Heads on a chain and on a bus behind a serial server, over real loopback TCP. */
class SerialLineTest {
    private static final Gate OPEN = Gate.open(Optional.empty());
    private static final int BAUD = 9600;
    private static final int CHARACTER = 10;
    private static final int KNOBS = 10;
    private static final Head CEILING = head("ceiling-ptz-serial");
    private static final Head DOME = head("dome-rs485");

    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(2);
    private final List<SimulatedHead> heads = new ArrayList<>();
    private final List<AutoCloseable> open = new ArrayList<>();

    private static Head head(String profile) {
        return ShippedProfiles.read(profile).orElseThrow().head().orElseThrow();
    }

    @AfterEach
    void close() throws Exception {
        for (AutoCloseable c : open) {
            c.close();
        }
        timer.shutdownNow();
    }

    private SimulatedHead fresh(Head facts) {
        SimulatedHead head =
                new SimulatedHead(
                        facts,
                        new KnobBank(ShippedProfiles.read("ceiling-ptz").orElseThrow(), 1),
                        InstantSource.system(),
                        InstantSource.system());
        heads.add(head);
        return head;
    }

    private Station chained(int id, int baud, LineFault... faults) {
        ChainVoice voice = new ChainVoice(fresh(CEILING), id);
        return new Station(() -> Optional.of(voice), () -> baud, Set.of(faults));
    }

    private final KnobBank bank = bank();
    private final WireLog log = new WireLog(100);

    private static KnobBank bank() {
        return new KnobBank(ShippedProfiles.read("dome-rs485").orElseThrow(), 1);
    }

    private Station onBus(int address, boolean tells, LineFault... faults) {
        BusVoice voice = new BusVoice(fresh(DOME), bank, DOME, DForm.D, address, tells);
        return new Station(() -> Optional.of(voice), () -> BAUD, Set.of(faults));
    }

    private SharedLine served(Kind kind, Set<LineFault> faults, Station... stations)
            throws IOException {
        SimulatedLine line =
                new SimulatedLine(
                        kind, BAUD, faults, List.of(stations), Timers.SHARED, System::nanoTime, 1);
        boolean terminal = faults.contains(LineFault.TERMINAL);
        TcpPort port =
                TcpPort.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
                        Protocol.VISCA_TCP,
                        new SerialServerEar(() -> List.of(line), terminal, OPEN));
        open.add(port);
        TcpStream stream =
                TcpStream.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port()),
                        timer);
        SharedLine shared =
                new SharedLine(stream, BAUD, CHARACTER, SharedLine.PACED, timer, System::nanoTime);
        open.add(shared);
        await().until(() -> stream.trouble().isEmpty());
        return shared;
    }

    private HeadLink visca(SharedLine line, int camera) {
        return ViscaLink.onLine(
                line.to(camera, new ViscaLine(), () -> {}),
                camera,
                0,
                timer,
                InstantSource.system(),
                log);
    }

    private List<String> sent() {
        return log.entries().stream()
                .filter(e -> e.direction() == WireLog.Direction.SENT && !e.polling())
                .map(WireLog.Entry::meaning)
                .toList();
    }

    private HeadLink bus(SharedLine line, int address, boolean tells) {
        return new BusLink(
                line.to(address, new DLine(DForm.D), () -> {}),
                DForm.D,
                address,
                tells,
                timer,
                InstantSource.system(),
                log);
    }

    @Test
    void eachHeadOfAChainMovesAloneAndStops() throws Exception {
        SharedLine line =
                served(Kind.CHAIN, Set.of(), chained(1, BAUD), chained(2, BAUD), chained(3, BAUD));
        for (int camera = 1; camera <= 3; camera++) {
            HeadLink link = visca(line, camera);
            link.drive(24, 0).get(3, TimeUnit.SECONDS);
            SimulatedHead moved = heads.get(camera - 1);
            await().until(() -> moved.state().panSpeed() > 0);
            assertThat(heads.stream().filter(h -> h.state().panSpeed() != 0)).hasSize(1);
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
            assertThat(moved.state().panSpeed()).isZero();
            assertThat(link.health().seen().state()).isEqualTo(Health.State.UP);
        }
    }

    /** Knobs that wait for their turn on a slow lead do not keep a stop. */
    @Test
    void aStopGoesBeforeKnobsThatAreBeingTold() throws Exception {
        SharedLine line = served(Kind.CHAIN, Set.of(), chained(1, BAUD));
        HeadLink link = visca(line, 1);
        link.drive(24, 0).get(3, TimeUnit.SECONDS);
        List<CompletableFuture<Octets>> told = new ArrayList<>();
        for (int gain = 1; gain <= KNOBS; gain++) {
            Octets frame = ViscaRequest.Sent.of(ViscaMessage.RED_GAIN, gain).encode(1);
            Optional<String> called = Optional.of("red gain to " + gain);
            told.add(link.tell(ProfileFrame.order(frame, called), false));
        }
        assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        for (CompletableFuture<Octets> one : told) {
            one.handle((octets, refused) -> true).get(5, TimeUnit.SECONDS);
        }
        List<String> sent = sent();
        assertThat(sent).contains("stop pan and tilt");
        assertThat(sent.subList(0, sent.indexOf("stop pan and tilt")))
                .filteredOn(words -> words.startsWith("red gain"))
                .hasSizeLessThan(KNOBS)
                .as("what gave way says so")
                .noneMatch(words -> words.contains("a stop went before it"));
    }

    /**
     * By the order of the leads, whatever the dials said; a broken chain counts up to the break.
     */
    @ParameterizedTest
    @CsvSource({"'', 3", "BROKEN, 2", "REVERSED, 2"})
    void aChainTakesItsNumbersByTheLeads(String fault, int counted) throws Exception {
        LineFault[] third =
                fault.isEmpty() ? new LineFault[0] : new LineFault[] {LineFault.valueOf(fault)};
        SharedLine line =
                served(
                        Kind.CHAIN,
                        Set.of(),
                        chained(5, BAUD),
                        chained(5, BAUD),
                        chained(1, BAUD, third));
        ChainNumbering numbering =
                new ChainNumbering(line, timer, InstantSource.system(), new WireLog(10));
        assertThat(numbering.start().get(3, TimeUnit.SECONDS)).isEqualTo(counted);
        visca(line, 2).drive(5, 0).get(3, TimeUnit.SECONDS);
        assertThat(heads.get(1).state().panSpeed()).isPositive();
        assertThat(heads.get(0).state().panSpeed()).isZero();
    }

    /** The head says nothing: the order goes out three times, and the stop says it saw nothing. */
    @Test
    void aDomeOfABusMovesAndIsToldToStop() throws Exception {
        SharedLine line = served(Kind.BUS, Set.of(), onBus(7, false), onBus(8, false));
        HeadLink link = bus(line, 8, false);
        link.drive(-63, 20);
        link.zoom(1);
        await().until(() -> heads.get(1).state().panSpeed() < 0);
        await().until(() -> heads.get(1).state().zoomSpeed() > 0);
        assertThat(heads.get(0).state().panSpeed()).isZero();
        assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.TOLD);
        await().until(() -> heads.get(1).state().panSpeed() == 0);
        assertThat(heads.get(1).state().zoomSpeed()).isZero();
    }

    /** + and - changed over at one head: it alone hears nothing. */
    @Test
    void aSwappedPairIsDeafAlone() throws Exception {
        SharedLine line =
                served(Kind.BUS, Set.of(), onBus(7, true, LineFault.PAIR_SWAPPED), onBus(8, true));
        HeadLink deaf = bus(line, 7, true);
        HeadLink hears = bus(line, 8, true);
        deaf.drive(20, 0);
        hears.drive(20, 0);
        await().until(() -> heads.get(1).state().panSpeed() > 0);
        assertThatThrownBy(() -> deaf.askPanTilt(false).get(5, TimeUnit.SECONDS))
                .hasMessageContaining("no answer");
        assertThat(heads.get(0).state().panSpeed()).isZero();
        assertThat(hears.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
    }

    /** No resistor at the end of a bus: some orders are lost at a high rate, none at a low one. */
    @ParameterizedTest
    @CsvSource({"9600, false", "115200, true"})
    void anOpenEndTellsAtHighRates(int baud, boolean loses) {
        AtomicInteger whole = new AtomicInteger();
        AtomicInteger all = new AtomicInteger();
        SerialVoice counts =
                (octets, talk) -> {
                    whole.addAndGet(DForm.D.decode(octets).toOptional().isPresent() ? 1 : 0);
                    all.incrementAndGet();
                    return Octets.of();
                };
        Station station = new Station(() -> Optional.of(counts), () -> baud, Set.of());
        SimulatedLine line =
                new SimulatedLine(
                        Kind.BUS,
                        baud,
                        Set.of(LineFault.NO_TERMINATOR),
                        List.of(station),
                        Timers.SHARED,
                        System::nanoTime,
                        1);
        for (int i = 0; i < 100; i++) {
            line.say(DForm.D.encode(9, new DMessage.Drive(5, 0, 0, 0, 0)), octets -> {});
        }
        await().until(() -> all.get() == 100);
        assertThat(whole.get() < 100).as("%s whole", whole).isEqualTo(loses);
        assertThat(whole).hasPositiveValue();
    }

    /**
     * While nothing can go out nothing was told: the stop is owed until it has left three times.
     */
    @Test
    void aStopThatCouldNotLeaveIsOwed() throws Exception {
        SharedLine line = served(Kind.BUS, Set.of(), onBus(8, false));
        TcpPort port = (TcpPort) open.get(0);
        int number = port.port();
        HeadLink link = bus(line, 8, false);
        link.drive(-63, 0);
        await().until(() -> heads.get(0).state().panSpeed() < 0);
        port.close();
        await().until(() -> line.trouble().isPresent());
        var stop = link.stop();
        timer.schedule(() -> {}, 400, TimeUnit.MILLISECONDS).get();
        assertThat(stop).isNotDone();
        SimulatedLine again =
                new SimulatedLine(
                        Kind.BUS,
                        BAUD,
                        Set.of(),
                        List.of(busStation(heads.get(0))),
                        Timers.SHARED,
                        System::nanoTime,
                        1);
        open.add(
                TcpPort.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), number),
                        Protocol.VISCA_TCP,
                        new SerialServerEar(() -> List.of(again), false, OPEN)));
        assertThat(stop.get(10, TimeUnit.SECONDS)).isEqualTo(Outcome.TOLD);
        await().until(() -> heads.get(0).state().panSpeed() == 0);
    }

    private static Station busStation(SimulatedHead head) {
        BusVoice voice = new BusVoice(head, bank(), DOME, DForm.D, 8, false);
        return new Station(() -> Optional.of(voice), () -> BAUD, Set.of());
    }

    @Test
    void aDomeThatTellsIsSeenStanding() throws Exception {
        SharedLine line = served(Kind.BUS, Set.of(), onBus(8, true));
        HeadLink link = bus(line, 8, true);
        link.drive(-63, 0);
        await().until(() -> heads.get(0).state().pan() < -2);
        assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        assertThat(link.askPanTilt(false).get(2, TimeUnit.SECONDS).pan() / 100.0)
                .isCloseTo(heads.get(0).state().pan(), within(0.01));
    }

    /** What only its profile states: heard by the head with this number, called so in the log. */
    @Test
    void aWiperIsToldByTheFramesOfItsProfile() throws Exception {
        List<String> told = new CopyOnWriteArrayList<>();
        bank.onVerb(v -> told.add(v.name()));
        SharedLine line = served(Kind.BUS, Set.of(), onBus(8, true));
        HeadLink link = bus(line, 8, true);
        Octets on = Octets.of(0xFF, 1, 0, 9, 0, 1, 0x0B);
        link.tell(ProfileFrame.order(on, Optional.of("wiper on")), false).get(5, TimeUnit.SECONDS);
        HeadLink other = bus(line, 9, true);
        other.tell(ProfileFrame.order(on, Optional.empty()), false).get(5, TimeUnit.SECONDS);
        await().untilAsserted(() -> assertThat(told).containsExactly("wiper on"));
        assertThat(log.entries()).extracting(WireLog.Entry::meaning).contains("wiper on");
    }

    /** Both protocols on the two ports of one server: neither is harmed by the other. */
    @Test
    void aChainAndABusShareOneServer() throws Exception {
        SimulatedLine chain =
                new SimulatedLine(
                        Kind.CHAIN,
                        BAUD,
                        Set.of(),
                        List.of(chained(1, BAUD)),
                        Timers.SHARED,
                        System::nanoTime,
                        1);
        SimulatedLine bus =
                new SimulatedLine(
                        Kind.BUS,
                        BAUD,
                        Set.of(),
                        List.of(onBus(13, false)),
                        Timers.SHARED,
                        System::nanoTime,
                        1);
        TcpPort port =
                TcpPort.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
                        Protocol.VISCA_TCP,
                        new SerialServerEar(() -> List.of(chain, bus), false, OPEN));
        open.add(port);
        TcpStream stream =
                TcpStream.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port()),
                        timer);
        SharedLine line =
                new SharedLine(stream, BAUD, CHARACTER, SharedLine.PACED, timer, System::nanoTime);
        open.add(line);
        await().until(() -> stream.trouble().isEmpty());
        HeadLink ceiling = visca(line, 1);
        HeadLink dome = bus(line, 13, false);
        dome.drive(30, 0);
        ceiling.drive(10, 0).get(3, TimeUnit.SECONDS);
        await().until(() -> heads.stream().allMatch(h -> h.state().panSpeed() > 0));
        assertThat(ceiling.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        assertThat(dome.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.TOLD);
        await().until(() -> heads.stream().allMatch(h -> h.state().panSpeed() == 0));
    }

    @ParameterizedTest
    @CsvSource({
        "BROKEN, ",
        "REVERSED, ",
        "TERMINAL, every FF comes in twice",
        "ECHO, only our own frames come back",
    })
    void aFaultIsToldByWhatComesBack(LineFault fault, String said) throws Exception {
        boolean ofServer = fault == LineFault.TERMINAL || fault == LineFault.ECHO;
        LineFault[] here = ofServer ? new LineFault[0] : new LineFault[] {fault};
        SharedLine line =
                served(
                        Kind.CHAIN,
                        ofServer ? Set.of(fault) : Set.of(),
                        chained(fault == LineFault.ECHO ? 2 : 1, BAUD, here));
        HeadLink link = visca(line, 1);
        for (int i = 0; i < (fault == LineFault.TERMINAL ? 6 : 2); i++) {
            var asked = link.askPanTilt(false);
            if (fault == LineFault.TERMINAL) {
                asked.get(2, TimeUnit.SECONDS);
            } else {
                assertThatThrownBy(() -> asked.get(5, TimeUnit.SECONDS))
                        .hasMessageContaining("no answer");
            }
        }
        if (said == null) {
            assertThat(line.trouble()).isEmpty();
            assertThat(link.health().seen().state()).isEqualTo(Health.State.LOST);
        } else {
            assertThat(line.trouble()).get().asString().contains(said);
        }
    }

    /** It is told to whoever drives another one of the chain; its number is not touched. */
    @Test
    void aCameraThatJoinsIsTold() throws Exception {
        ChainVoice late = new ChainVoice(fresh(CEILING), 2);
        AtomicReference<Optional<ChainVoice>> powered = new AtomicReference<>(Optional.empty());
        SharedLine line =
                served(
                        Kind.CHAIN,
                        Set.of(),
                        chained(1, BAUD),
                        new Station(powered::get, () -> BAUD, Set.of()));
        HeadLink first = visca(line, 1);
        AtomicInteger told = new AtomicInteger();
        first.onChainChanged(told::incrementAndGet);
        first.askPanTilt(false).get(5, TimeUnit.SECONDS);
        assertThat(told).hasValue(0);
        powered.set(Optional.of(late));
        first.askPanTilt(false).get(5, TimeUnit.SECONDS);
        await().until(() -> told.get() == 1);
        first.askPanTilt(false).get(5, TimeUnit.SECONDS);
        assertThat(told).as("once, when it came").hasValue(1);
        assertThat(late.number()).isEqualTo(2);
        assertThat(log.entries().stream().map(WireLog.Entry::meaning))
                .contains("the chain has changed");
    }

    @Test
    void anotherRateAtTheDeviceIsNoiseHere() throws Exception {
        SharedLine line = served(Kind.CHAIN, Set.of(), chained(1, 38_400));
        HeadLink link = visca(line, 1);
        assertThatThrownBy(() -> link.askPanTilt(false).get(5, TimeUnit.SECONDS))
                .hasMessageContaining("no answer");
        assertThat(heads.get(0).state().panSpeed()).isZero();
    }

    /** The one place is taken: the second is told so, and comes in when the first has gone. */
    @Test
    void aSecondClientWaitsAndIsToldWhy() throws Exception {
        SharedLine first = served(Kind.CHAIN, Set.of(), chained(1, BAUD));
        TcpPort port = (TcpPort) open.get(0);
        TcpStream second =
                TcpStream.open(
                        new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port()),
                        timer);
        open.add(second);
        await().until(
                        () ->
                                second.trouble()
                                        .filter(t -> t.contains("another program may hold"))
                                        .isPresent());
        first.close();
        await().until(() -> second.trouble().isEmpty());
    }

    /** The code for a local serial port, over a pair of them that another program makes. */
    @Test
    void aChainIsDrivenOverASerialPortThatMayVanish(@TempDir Path folder) throws Exception {
        served(Kind.CHAIN, Set.of(), chained(1, BAUD), chained(2, BAUD));
        int port = ((TcpPort) open.get(0)).port();
        open.remove(1).close();
        Path path = folder.resolve("port");
        SerialPortStream stream =
                SerialPortStream.open(
                        new SerialPortStream.Line(path.toString(), BAUD, "8N1"), timer);
        open.add(stream);
        await().until(() -> stream.trouble().filter(t -> t.contains("is not there")).isPresent());
        Process pair =
                new ProcessBuilder(
                                "socat",
                                "PTY,raw,echo=0,link=" + path,
                                "TCP:127.0.0.1:" + port + ",nodelay")
                        .start();
        try {
            await().until(() -> stream.trouble().isEmpty());
            SharedLine line =
                    new SharedLine(
                            stream, BAUD, CHARACTER, SharedLine.PACED, timer, System::nanoTime);
            HeadLink link = visca(line, 2);
            link.drive(24, 0).get(3, TimeUnit.SECONDS);
            assertThat(heads.get(1).state().panSpeed()).isPositive();
            assertThat(heads.get(0).state().panSpeed()).isZero();
            assertThat(link.stop().get(5, TimeUnit.SECONDS)).isEqualTo(Outcome.STANDING);
        } finally {
            pair.destroy();
            pair.waitFor();
        }
        await().until(
                        () ->
                                stream.trouble()
                                        .filter(
                                                t ->
                                                        t.contains("vanished")
                                                                || t.contains("not there"))
                                        .isPresent());
    }

    /** A line without sockets, so that its time can be the test's. */
    private static final class Direct implements Stream {
        private final SimulatedLine line;
        private final Listeners listeners = new Listeners();

        Direct(SimulatedLine line) {
            this.line = line;
        }

        @Override
        public void send(Octets octets, Sent sent) {
            line.say(octets, listeners::tell);
            sent.sent(Optional.empty());
        }

        @Override
        public Subscription listen(Consumer<Octets> onOctets) {
            return listeners.add(onOctets);
        }

        @Override
        public Subscription onOpen(Runnable opened) {
            return () -> {};
        }

        @Override
        public void close() {
            // Nothing is open.
        }
    }

    /**
     * Seven heads that all move at once get what the line carries, and no more than their share.
     */
    @ParameterizedTest
    @CsvSource({"9600, 1, 64", "9600, 0.7, 44.8", "38400, 1, 256", "38400, 0.7, 179.2"})
    void aChainOfSevenIsTakenAtTheRateOfTheRules(int baud, double share, double expected) {
        assertThat(share * SerialTiming.updatesPerSecond(baud, CHARACTER)).isEqualTo(expected);
        VirtualTime time = new VirtualTime();
        List<Station> stations =
                IntStream.rangeClosed(1, 7).mapToObj(id -> chained(id, baud)).toList();
        SimulatedLine simulated =
                new SimulatedLine(
                        Kind.CHAIN, baud, Set.of(), stations, time.timer(), time::nanos, 1);
        SharedLine line =
                new SharedLine(
                        new Direct(simulated), baud, CHARACTER, share, time.timer(), time::nanos);
        AtomicInteger updates = new AtomicInteger();
        for (int camera = 1; camera <= 7; camera++) {
            keepDriving(line, camera, updates);
        }
        int seconds = 20;
        time.pass(TimeUnit.SECONDS.toNanos(seconds));
        assertThat((double) updates.get() / seconds).isCloseTo(expected, within(0.05 * expected));
        assertThat(heads).allSatisfy(h -> assertThat(h.lastDrive()).isPresent());
    }

    private static void keepDriving(SharedLine line, int camera, AtomicInteger updates) {
        var station = line.to(camera, new ViscaLine(), () -> {});
        AtomicInteger step = new AtomicInteger();
        Runnable next =
                () ->
                        station.send(
                                new ViscaRequest.Drive(1 + step.incrementAndGet() % 24, 0)
                                        .encode(camera),
                                trouble -> {});
        station.listen(
                reply -> {
                    if (reply.at(1) >> 4 == 5) {
                        updates.incrementAndGet();
                        next.run();
                    }
                });
        next.run();
    }
}
