package app.jerboa.bench;

import app.jerboa.core.profile.Head;
import app.jerboa.standin.ShippedProfiles;
import app.jerboa.standin.device.KnobBank;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.device.ViscaUdpPort;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.net.UdpTransport;
import app.jerboa.wire.link.session.Form;
import app.jerboa.wire.link.session.ViscaLink;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** Questions to simulated heads over real loopback sockets: one head, and five hundred. */
final class LinkBench implements AutoCloseable {
    private static final Head FACTS =
            ShippedProfiles.read("ceiling-ptz").orElseThrow().head().orElseThrow();

    private final ScheduledExecutorService timer = Executors.newScheduledThreadPool(2);
    private final List<ViscaUdpPort> ports = new ArrayList<>();
    private final List<ViscaLink> links = new ArrayList<>();

    LinkBench(int heads) throws IOException {
        InetAddress loopback = InetAddress.getLoopbackAddress();
        for (int i = 0; i < heads; i++) {
            SimulatedHead head =
                    new SimulatedHead(
                            FACTS,
                            new KnobBank(ShippedProfiles.read("ceiling-ptz").orElseThrow(), 1),
                            InstantSource.system(),
                            InstantSource.system());
            ViscaUdpPort port =
                    ViscaUdpPort.open(new InetSocketAddress(loopback, 0), Form.HEADER, head);
            ports.add(port);
            links.add(
                    new ViscaLink(
                            UdpTransport.open(new InetSocketAddress(loopback, port.port())),
                            Form.HEADER,
                            timer,
                            InstantSource.system(),
                            new WireLog(100)));
        }
    }

    /**
     * One question after the other, as {@link UdpEcho} does it: each until its answer is told on
     * the thread that read it, where a desk takes it. A thread that waits elsewhere has to be woken
     * besides, which the echo's is not.
     */
    Sample roundTrips(int rounds, int pauseMillis) throws IOException, InterruptedException {
        double[] millis = new double[rounds];
        try {
            for (int i = 0; i < rounds; i++) {
                Thread.sleep(pauseMillis);
                long start = System.nanoTime();
                long told =
                        links.get(0)
                                .askPanTilt(true)
                                .thenApply(at -> System.nanoTime())
                                .get(2, TimeUnit.SECONDS);
                millis[i] = (told - start) / 1e6;
            }
        } catch (ExecutionException | TimeoutException e) {
            throw new IOException("a simulated head did not answer", e);
        }
        return Sample.of(millis);
    }

    /** Every head is asked so often a second, evenly spread; how long each answer took. */
    Sample polled(int timesASecond, int seconds) throws InterruptedException {
        ConcurrentLinkedQueue<Double> millis = new ConcurrentLinkedQueue<>();
        long stepNanos = TimeUnit.SECONDS.toNanos(1) / timesASecond / links.size();
        long start = System.nanoTime();
        long all = (long) timesASecond * seconds * links.size();
        for (long i = 0; i < all; i++) {
            long wait = start + i * stepNanos - System.nanoTime();
            if (wait > 0) {
                TimeUnit.NANOSECONDS.sleep(wait);
            }
            long asked = System.nanoTime();
            links.get((int) (i % links.size()))
                    .askPanTilt(true)
                    .thenAccept(at -> millis.add((System.nanoTime() - asked) / 1e6));
        }
        TimeUnit.SECONDS.sleep(1);
        return Sample.of(millis.stream().mapToDouble(Double::doubleValue).toArray());
    }

    @Override
    public void close() {
        links.forEach(ViscaLink::close);
        ports.forEach(ViscaUdpPort::close);
        timer.shutdownNow();
    }
}
