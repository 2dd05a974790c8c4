package app.jerboa.standin.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.octets.Octets;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class TcpPortTest {
    private final Object hall = new Object();
    private final CountDownLatch hears = new CountDownLatch(1);
    private final CountDownLatch gone = new CountDownLatch(1);

    /** As a panel link does: it keeps its own lock while it asks for its device. */
    private final class LockedEar implements TcpPort.Ear {
        @Override
        public synchronized void hear(Octets chunk, Consumer<Octets> reply) {
            hears.countDown();
            synchronized (hall) {
                reply.accept(chunk);
            }
        }

        @Override
        public void afresh() {}

        @Override
        public synchronized void gone() {
            gone.countDown();
        }
    }

    @Test
    void isClosedWhileWhatItHearsWaitsForWhoCloses() throws Exception {
        InetAddress loopback = InetAddress.getLoopbackAddress();
        TcpPort port =
                TcpPort.open(
                        new InetSocketAddress(loopback, 0), Protocol.PANEL_LINK, 1, LockedEar::new);
        FutureTask<Boolean> closed = new FutureTask<>(() -> closedUnderTheLock(port));
        Thread closing = new Thread(closed, "closing");
        closing.setDaemon(true);
        closing.start();
        try (Socket panel = new Socket(loopback, port.port())) {
            panel.getOutputStream().write(1);
            assertThat(closed.get(10, TimeUnit.SECONDS)).isTrue();
            assertThat(gone.await(5, TimeUnit.SECONDS)).as("the ear is told").isTrue();
        }
    }

    private boolean closedUnderTheLock(TcpPort port) throws InterruptedException {
        synchronized (hall) {
            boolean heard = hears.await(5, TimeUnit.SECONDS);
            port.close();
            return heard;
        }
    }
}
