package app.jerboa.standin.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.profile.Profile;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.device.Door;
import app.jerboa.standin.device.Gate;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.ViscaObeys;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class WebPortTest {
    private static final Profile PROFILE = ShippedProfiles.read("shoulder-camera").orElseThrow();

    /** Asked how long the way is, it waits for whoever closes the port: as a hall does. */
    private static final class LockedGate implements Gate {
        private final CountDownLatch asked = new CountDownLatch(1);
        private final Object lock = new Object();

        @Override
        public Optional<ViscaObeys> hearer() {
            return Optional.empty();
        }

        @Override
        public boolean own() {
            return true;
        }

        @Override
        public int delayMillis() {
            asked.countDown();
            synchronized (lock) {
                return 0;
            }
        }
    }

    /** A rig that takes a device out just when a request comes in must not stand still. */
    @Test
    void isClosedWhileARequestWaitsForWhoCloses() throws Exception {
        LockedGate gate = new LockedGate();
        InetAddress loopback = InetAddress.getLoopbackAddress();
        WebPort port =
                WebPort.open(
                        new InetSocketAddress(loopback, 0),
                        new KnobBank(PROFILE, 1),
                        Door.open("admin", "factory"),
                        gate,
                        () -> new byte[0]);
        FutureTask<Boolean> closed = new FutureTask<>(() -> closedUnderItsLock(gate, port));
        Thread closing = new Thread(closed, "closing");
        closing.setDaemon(true);
        closing.start();
        try (Socket browser = new Socket(loopback, port.port())) {
            browser.getOutputStream()
                    .write("GET / HTTP/1.1\r\nHost: x\r\n\r\n".getBytes(StandardCharsets.US_ASCII));
            assertThat(closed.get(10, TimeUnit.SECONDS)).isTrue();
        }
    }

    private static boolean closedUnderItsLock(LockedGate gate, WebPort port)
            throws InterruptedException, ExecutionException {
        synchronized (gate.lock) {
            boolean met = gate.asked.await(5, TimeUnit.SECONDS);
            port.close();
            return met;
        }
    }
}
