package app.jerboa.bench;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.ViscaRequest;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Two hundred devices in one hall, in a process of its own as the launcher starts it. */
final class HallBench implements AutoCloseable {
    private static final int SWITCHES = 10;
    private static final int CAMERAS = 190;
    private static final int CONTROL = 18_472;
    private static final int ROUNDS = 20;
    private static final int REST_SECONDS = 10;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newHttpClient();
    private final Process hall;
    private final List<Integer> ports = new ArrayList<>();

    /**
     * @param atRest CPU of one core, in per cent
     * @param megabytes resident
     */
    record Times(double atRest, double megabytes, Sample answers, Sample bare) {}

    HallBench() throws IOException, InterruptedException {
        Path file = Files.createTempFile("hall", ".jerboa.json");
        Files.write(file, JSON.writeValueAsBytes(job()));
        String root = System.getProperty("jerboa.root", ".");
        hall =
                new ProcessBuilder(
                                System.getProperty("java.home") + "/bin/java",
                                "-XX:+UseSerialGC",
                                "-Xmx128m",
                                "-cp",
                                root
                                        + "/standin/target/jerboa-standin.jar:"
                                        + root
                                        + "/standin/target/lib/*",
                                "app.jerboa.standin.Main",
                                "--job",
                                file.toString(),
                                "--begin",
                                "as-planned",
                                "--control",
                                "" + CONTROL,
                                "--state",
                                file + ".hall",
                                "--speed",
                                "1000")
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start();
        while (!ask("GET", "/halls/1/reach/10.44.16.190", "").contains("visca-ip")) {
            Thread.sleep(200);
        }
        ask("PUT", "/clock", "{\"speed\":1}");
        for (int i = 1; i <= CAMERAS; i++) {
            JsonNode reach = JSON.readTree(ask("GET", "/halls/1/reach/10.44.16." + i, ""));
            ports.add(reach.get("answering").get(0).get("ports").get("visca-ip").asInt());
        }
    }

    /** Ten switches with nineteen cameras each, on the demo's site. */
    private static ObjectNode job() throws IOException {
        Path demo =
                Path.of(
                        System.getProperty("jerboa.root", "."),
                        "server/src/main/resources/demo/demo.jerboa.json");
        ObjectNode file = (ObjectNode) JSON.readTree(Files.readAllBytes(demo));
        ObjectNode device = (ObjectNode) file.get("devices").get(0);
        ObjectNode run = (ObjectNode) file.get("runs").get(0);
        for (String kind :
                List.of(
                        "devices",
                        "runs",
                        "lines",
                        "routes",
                        "mounts",
                        "waivers",
                        "prices",
                        "preparations",
                        "ranges")) {
            file.withArray("/" + kind).removeAll();
        }
        ((ObjectNode) file.get("subnets").get(0))
                .put("cidr", "10.44.16.0/23")
                .put("gateway", "10.44.17.254")
                .put("laptopHome", "10.44.17.250");
        for (int s = 1; s <= SWITCHES; s++) {
            file.withArray("/devices").add(device(device, s, "poe-switch-24", "10.44.17." + s));
            if (s > 1) {
                file.withArray("/runs")
                        .add(run(run, 1_000 + s, s, "UPLINK 1", 1, "PORT " + (s + 13)));
            }
        }
        for (int c = 0; c < CAMERAS; c++) {
            int id = 100 + c;
            int at = 1 + c % SWITCHES;
            file.withArray("/devices")
                    .add(device(device, id, "ceiling-ptz", "10.44.16." + (c + 1)));
            int port = 1 + c / SWITCHES;
            boolean taken = at == 1 && port > 14;
            file.withArray("/runs")
                    .add(
                            run(
                                    run,
                                    2_000 + c,
                                    taken ? 2 : at,
                                    "PORT " + (taken ? port + 5 : port),
                                    id,
                                    "LAN"));
        }
        return file;
    }

    private static ObjectNode device(ObjectNode like, int id, String profile, String address) {
        return like.deepCopy()
                .put("id", 10 + id)
                .put("name", profile + " " + id)
                .put("profile", profile)
                .put("mac", String.format(Locale.ROOT, "02:10:00:00:%02x:%02x", id / 256, id % 256))
                .put("prefix", 23)
                .put("gateway", "10.44.17.254")
                .put("address", address);
    }

    private static ObjectNode run(
            ObjectNode like, int id, int from, String port, int to, String toPort) {
        return like.deepCopy()
                .put("id", id)
                .put("from", 10 + from)
                .put("fromPort", port)
                .put("to", 10 + to)
                .put("toPort", toPort)
                .put("metres", 30);
    }

    private String ask(String method, String path, String body) throws InterruptedException {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + CONTROL + path))
                                    .method(method, HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        } catch (IOException notYet) {
            return "";
        }
    }

    Times measure() throws IOException, InterruptedException {
        Sample first = answers();
        Duration before = cpu();
        Thread.sleep(REST_SECONDS * 1_000L);
        double rest = (cpu().minus(before).toMillis() / 10.0) / REST_SECONDS;
        Sample answers = answers();
        Sample bare = UdpEcho.measure(first.millis().size(), 0);
        return new Times(rest, megabytes(), answers, bare);
    }

    private Duration cpu() {
        return hall.toHandle().info().totalCpuDuration().orElse(Duration.ZERO);
    }

    private double megabytes() throws IOException {
        return Files.readAllLines(Path.of("/proc", "" + hall.pid(), "status")).stream()
                .filter(l -> l.startsWith("VmRSS"))
                .mapToDouble(l -> Double.parseDouble(l.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElse(0);
    }

    private Sample answers() throws IOException {
        double[] millis = new double[CAMERAS * ROUNDS];
        Octets frame = new ViscaRequest.AskVersion().encode(1);
        InetAddress loopback = InetAddress.getLoopbackAddress();
        try (DatagramSocket socket = new DatagramSocket(0, loopback)) {
            socket.setSoTimeout(2_000);
            for (int i = 0; i < millis.length; i++) {
                byte[] out = new IpPacket(IpPacket.Type.INQUIRY, i + 1, frame).encode().toArray();
                int port = ports.get(i % CAMERAS);
                long start = System.nanoTime();
                socket.send(new DatagramPacket(out, out.length, loopback, port));
                socket.receive(new DatagramPacket(new byte[64], 64));
                millis[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        return Sample.of(millis);
    }

    @Override
    public void close() {
        hall.destroy();
    }
}
