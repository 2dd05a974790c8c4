package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import tools.jackson.databind.JsonNode;

/**
 * Fifty-six cameras (a thousand values) asked for all their knobs through the server, beside the
 * bare questions.
 */
final class KnobBench implements AutoCloseable {
    private static final int CAMERAS = 56;
    private static final int AT_ONCE = 8;
    private static final int ROUNDS = 9;

    /** As many questions as the server asks of one camera. */
    private static final int KNOBS = 18;

    private final Programs programs = new Programs(true);
    private final HttpUser user = new HttpUser(programs::url).signIn("asha");
    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);
    private final CameraHall hall;
    private final long job;

    KnobBench() throws InterruptedException {
        hall = new CameraHall(programs, user, CAMERAS);
        job = hall.job();
    }

    /**
     * @param values read in each round
     */
    record Times(Sample served, Sample bare, int values) {}

    Times measure() {
        double[] served = new double[ROUNDS];
        double[] bare = new double[ROUNDS];
        int values = 0;
        for (int i = -2; i < ROUNDS; i++) {
            long start = System.nanoTime();
            values = served();
            long between = System.nanoTime();
            bare();
            if (i >= 0) {
                served[i] = (between - start) / 1e6;
                bare[i] = (System.nanoTime() - between) / 1e6;
            }
        }
        return new Times(Sample.of(served), Sample.of(bare), values);
    }

    private int served() {
        JsonNode all =
                BrowserUser.json(
                        user.post(
                                        "/api/jobs/" + job + "/told/readings",
                                        "{\"devices\":" + hall.cameras() + ",\"pressed\":true}")
                                .join()
                                .body());
        int values = 0;
        for (JsonNode device : all) {
            for (JsonNode knob : device.get("knobs")) {
                values += knob.get("value").isNumber() ? 1 : 0;
            }
        }
        return values;
    }

    private void bare() {
        CompletableFuture<?>[] asked =
                hall.ports().stream()
                        .map(p -> CompletableFuture.runAsync(() -> ask(p), threads))
                        .toArray(CompletableFuture[]::new);
        CompletableFuture.allOf(asked).join();
    }

    private static void ask(int port) {
        Octets frame = new ViscaRequest.Sent(ViscaMessage.ASK_IRIS, List.of()).encode(1);
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            for (int i = 1; i <= KNOBS; i++) {
                byte[] out = new IpPacket(IpPacket.Type.INQUIRY, i, frame).encode().toArray();
                socket.send(
                        new DatagramPacket(
                                out, out.length, InetAddress.getLoopbackAddress(), port));
                socket.receive(new DatagramPacket(new byte[64], 64));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
        programs.close();
    }
}
