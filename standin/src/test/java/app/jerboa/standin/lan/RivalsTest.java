package app.jerboa.standin.lan;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.ViscaLink;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.time.Instant;
import java.time.InstantSource;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Two devices on one address, over real sockets: what is sent to one is answered by the other. */
class RivalsTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final DeviceId A = new DeviceId(1);
    private static final DeviceId B = new DeviceId(2);

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor();
    private Hall hall;

    @AfterEach
    void close() {
        hall.close();
        timer.shutdownNow();
    }

    /** a is up two seconds before b, so that the address goes over to b two seconds later. */
    private void rivals(String profile) {
        hall =
                rig.furnish(
                        "1",
                        TestJob.empty()
                                .device(1, "a", profile, "10.44.8.21")
                                .device(2, "b", profile, "10.44.8.22")
                                .file());
        for (DeviceId id : new DeviceId[] {A, B}) {
            hall.plug(id, true, false);
            hall.atMenu(id, hall.need(id).settings());
            pass(2);
        }
        Ipv4 factory = hall.need(A).settings().address();
        hall.moveLaptop(new NetworkSettings(factory.plus(100), 24, ""));
        pass(hall.need(A).profile().bootSeconds() + 1);
        assertThat(hall.answering(factory)).hasSize(2);
        assertThat(hall.holder(factory).orElseThrow().name()).isEqualTo("a");
    }

    private void pass(int seconds) {
        now.updateAndGet(t -> t.plusSeconds(seconds));
    }

    private InetSocketAddress port(DeviceId id, Protocol protocol) {
        int port =
                hall.need(id).ports().stream()
                        .filter(p -> p.protocol() == protocol)
                        .findFirst()
                        .orElseThrow()
                        .port();
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
    }

    @Test
    void datagramsAreAnsweredByTheOtherOnceItAnnouncedItself() throws Exception {
        rivals("ceiling-ptz");
        try (ViscaLink link =
                new ViscaLink(
                        UdpTransport.open(port(A, Protocol.VISCA_IP)),
                        Form.HEADER,
                        timer,
                        InstantSource.system(),
                        new WireLog(50))) {
            link.drive(10, 0).get(2, TimeUnit.SECONDS);
            assertThat(drives(A)).isEqualTo(1);
            pass(2);
            link.drive(10, 0).get(2, TimeUnit.SECONDS);
            assertThat(drives(B)).as("the same link, the other camera").isEqualTo(1);
            hall.plug(B, false, false);
            pass(60);
            link.drive(0, 0).get(2, TimeUnit.SECONDS);
            assertThat(hall.need(A).headState().orElseThrow().panSpeed()).isZero();
        }
    }

    private int drives(DeviceId id) {
        return hall.need(id).headState().filter(h -> h.panSpeed() != 0).isPresent() ? 1 : 0;
    }

    @Test
    void aStreamInHandBreaks() throws Exception {
        rivals("serial-server-1");
        try (Socket socket = new Socket()) {
            socket.connect(port(A, Protocol.VISCA_TCP), 2_000);
            socket.setSoTimeout(2_000);
            pass(2);
            socket.getOutputStream().write(0x81);
            assertThat(socket.getInputStream().read()).as("it was closed").isEqualTo(-1);
        }
    }
}
