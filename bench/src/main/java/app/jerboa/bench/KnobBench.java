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
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import tools.jackson.databind.JsonNode;

/** Fifty cameras asked for all their knobs through the server, beside the bare questions. */
final class KnobBench implements AutoCloseable {
    private static final int CAMERAS = 50;
    private static final int AT_ONCE = 8;
    private static final int ROUNDS = 9;

    /** As many questions as the server asks of one camera. */
    private static final int KNOBS = 18;

    private final Programs programs = new Programs(true);
    private final HttpUser user = new HttpUser(programs::url).signIn("asha");
    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);
    private final long job = user.newDemoJob();
    private final List<Long> cameras = new ArrayList<>();
    private final List<Integer> ports = new ArrayList<>();

    KnobBench() throws InterruptedException {
        String path = "/api/jobs/" + job;
        List<Long> all = new ArrayList<>();
        user.json(path).get("devices").forEach(d -> all.add(d.get("id").asLong()));
        user.post(path + "/kit/remove", "{\"devices\":" + all + "}").join();
        user.post(path + "/kit", "{\"profile\":\"ceiling-ptz\",\"count\":" + CAMERAS + "}").join();
        programs.speed(1_000);
        user.get(path + "/rig").join();
        for (JsonNode d : user.json(path).get("devices")) {
            plug(d);
        }
        while (user.get(path + "/rig").join().body().contains("booting")) {
            Thread.sleep(100);
        }
        programs.speed(1);
    }

    private void plug(JsonNode device) throws InterruptedException {
        long id = device.get("id").asLong();
        String address = device.get("address").asString();
        String at = "/halls/" + job + "/devices/" + id;
        programs.rig(
                "PUT",
                at + "/network",
                "{\"address\":\"" + address + "\",\"prefix\":24,\"gateway\":\"\"}");
        programs.rig("PUT", at + "/plug", "{\"plugged\":true}");
        JsonNode reach;
        do {
            Thread.sleep(50);
            reach =
                    BrowserUser.json(
                            programs.rig("GET", "/halls/" + job + "/reach/" + address, ""));
        } while (reach.get("answering").isEmpty());
        cameras.add(id);
        ports.add(reach.get("answering").get(0).get("ports").get("visca-ip").asInt());
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
                                        "{\"devices\":" + cameras + ",\"pressed\":true}")
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
                ports.stream()
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
