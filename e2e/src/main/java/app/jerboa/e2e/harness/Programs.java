package app.jerboa.e2e.harness;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.awaitility.Awaitility;
import tools.jackson.databind.JsonNode;

/**
 * The rig, the server and their database as processes of their own, the way the launcher starts
 * them.
 */
public final class Programs implements AutoCloseable {
    public static final String PASSWORD = "journey-password";

    /** What makes the first account where there is no demo. */
    public static final String FIRST_CODE = "sand-dune-4417";

    public static final Path ROOT =
            Path.of(System.getProperty("jerboa.root", "..")).toAbsolutePath().normalize();

    /** Journeys want a quick start; benchmarks what the launcher gives to runs that are long. */
    private static final List<String> MACHINE =
            "full".equals(System.getProperty("jerboa.compiler"))
                    ? List.of("-XX:+TieredCompilation", "-XX:+UseZGC", "-Xmx1g")
                    : List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private static final AtomicInteger STANDINS = new AtomicInteger();

    private static final Path LOGS = ROOT.resolve("e2e/target/logs");

    private final HttpClient http = HttpClient.newHttpClient();
    private final int rigPort = freePort();
    private final String database;
    private final boolean demo;
    private final Process rig;
    private final Server server = new Server();
    private final List<Server> others = new ArrayList<>();

    /**
     * @param demo with the demo account and its job; else as on first use
     */
    public Programs(boolean demo) {
        this.demo = demo;
        this.database = freshDatabase();
        Path state = emptyState(rigPort);
        String classPath =
                ROOT + "/standin/target/jerboa-standin.jar:" + ROOT + "/standin/target/lib/*";
        rig =
                start(
                        "rig",
                        Map.of(),
                        "-cp",
                        classPath,
                        "app.jerboa.standin.Main",
                        "rig",
                        "--port",
                        "" + rigPort,
                        "--state",
                        state.toString(),
                        "--speed",
                        "100");
        startServer();
    }

    /** An earlier run may have had the same port: its halls are not ours. */
    private static Path emptyState(int rigPort) {
        Path state = LOGS.resolve("rig-" + rigPort + ".json");
        try {
            Files.deleteIfExists(state);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return state;
    }

    /** Stand-ins alone, past any rig, once they answer; the caller ends them. */
    public static Process standins(String... arguments) {
        String classPath =
                ROOT + "/standin/target/jerboa-standin.jar:" + ROOT + "/standin/target/lib/*";
        String name =
                "standins-" + ProcessHandle.current().pid() + "-" + STANDINS.incrementAndGet();
        Process process =
                start(
                        name,
                        Map.of(),
                        Stream.concat(
                                        Stream.of("-cp", classPath, "app.jerboa.standin.Main"),
                                        Stream.of(arguments))
                                .toArray(String[]::new));
        List<String> all = List.of(arguments);
        String last = all.get(all.lastIndexOf("--bind") + 1);
        Awaitility.await()
                .atMost(Duration.ofSeconds(60))
                .until(() -> !process.isAlive() || printed(name).contains(last));
        if (!process.isAlive()) {
            throw new IllegalStateException("the stand-ins ended: " + printed(name));
        }
        return process;
    }

    private static String printed(String name) {
        try {
            return Files.readString(LOGS.resolve(name + ".log"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    public static int freePort() {
        return FreePorts.next();
    }

    private static String env(String name) {
        return Optional.ofNullable(System.getenv(name))
                .orElseThrow(
                        () -> new IllegalStateException(name + " is not set: run ./jerboa test"));
    }

    private static String freshDatabase() {
        String name = "journey_" + ProcessHandle.current().pid() + "_" + System.nanoTime();
        try (var connection =
                        DriverManager.getConnection(
                                env("JERBOA_TEST_DB") + "/postgres",
                                "jerboa",
                                env("JERBOA_TEST_DB_PASSWORD"));
                var statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
        return name;
    }

    private static Process start(
            String name, Map<String, String> environment, String... arguments) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(MACHINE);
        command.addAll(List.of(arguments));
        try {
            Files.createDirectories(LOGS);
            ProcessBuilder builder = new ProcessBuilder(command);
            builder.environment().putAll(environment);
            builder.redirectErrorStream(true);
            builder.redirectOutput(
                    ProcessBuilder.Redirect.appendTo(LOGS.resolve(name + ".log").toFile()));
            return builder.start();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** One server process; others stand beside it on the same database and rig. */
    public final class Server {
        private final int port = freePort();
        private Process process;

        public void start() {
            process = startServer(port, Map.of());
            Awaitility.await()
                    .atMost(Duration.ofSeconds(90))
                    .pollInterval(Duration.ofMillis(200))
                    .until(this::healthy);
        }

        private boolean healthy() {
            if (!process.isAlive()) {
                throw new IllegalStateException("the server ended: see e2e/target/logs/server.log");
            }
            try {
                return http.send(
                                HttpRequest.newBuilder(URI.create(url("/actuator/health"))).build(),
                                HttpResponse.BodyHandlers.ofString())
                        .body()
                        .contains("UP");
            } catch (IOException notYet) {
                return false;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }

        /** As the power cut does it: no goodbye. */
        public void kill() {
            try {
                process.destroyForcibly().waitFor();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        public String url(String path) {
            return "http://127.0.0.1:" + port + path;
        }
    }

    private Map<String, String> environment(int port) {
        return environment(port, database);
    }

    private Map<String, String> environment(int port, String database) {
        return Map.ofEntries(
                Map.entry("JERBOA_LIVE_ALLOW", "127.44.8.0/24"),
                Map.entry("JERBOA_FIRST_CODE", demo ? "" : FIRST_CODE),
                Map.entry("JERBOA_PASSWORD_COST", "4"),
                Map.entry("JERBOA_PORT", "" + port),
                Map.entry("JERBOA_DB_URL", env("JERBOA_TEST_DB") + "/" + database),
                Map.entry("JERBOA_DB_USER", "jerboa"),
                Map.entry("JERBOA_DB_PASSWORD", env("JERBOA_TEST_DB_PASSWORD")),
                Map.entry("JERBOA_RIG_URL", "http://127.0.0.1:" + rigPort),
                Map.entry("JERBOA_SECRET_KEY", "a key for journeys, thirty-two letters"),
                Map.entry("JERBOA_WATCH_MILLIS", "400"),
                Map.entry("JERBOA_DEMO_PASSWORD", demo ? PASSWORD : ""));
    }

    public String databaseUrl() {
        return env("JERBOA_TEST_DB") + "/" + database;
    }

    public void startServer() {
        server.start();
    }

    /** A journey that failed between the server's end and its next start costs itself only. */
    public void serverIsThere() {
        if (!server.process.isAlive()) {
            startServer();
        }
    }

    /** One more server on the same database and rig; ended with the others. */
    public Server another() {
        Server more = new Server();
        more.start();
        others.add(more);
        return more;
    }

    public void killServer() {
        server.kill();
    }

    /** Runs the launcher with this database named in its settings; what it printed. */
    public String launcher(String... arguments) {
        List<String> command =
                Stream.concat(Stream.of(ROOT + "/jerboa"), Stream.of(arguments)).toList();
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment(0));
        try {
            Process process = builder.start();
            String printed =
                    new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", command) + ": " + printed);
            }
            return printed;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A server with settings of its own, on its own port; the caller ends it. */
    public Process startServer(int port, Map<String, String> settings) {
        Map<String, String> all = new HashMap<>(environment(port));
        all.putAll(settings);
        String[] command =
                new ServerCopy(ROOT)
                        .command(() -> environment(port, freshDatabase()))
                        .toArray(String[]::new);
        return start("server", all, command);
    }

    public String url(String path) {
        return server.url(path);
    }

    /** Memory of the first server; a page that it maps several times counts once. */
    public double serverMegabytes() {
        try {
            return Files.readAllLines(Path.of("/proc/" + server.process.pid() + "/smaps_rollup"))
                    .stream()
                    .filter(l -> l.startsWith("Pss:"))
                    .mapToDouble(l -> Double.parseDouble(l.replaceAll("[^0-9]", "")) / 1024)
                    .findFirst()
                    .orElse(0);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What the first server has used of all processors since it began. */
    public Duration serverCpu() {
        return server.process.toHandle().info().totalCpuDuration().orElse(Duration.ZERO);
    }

    public Duration rigCpu() {
        return rig.toHandle().info().totalCpuDuration().orElse(Duration.ZERO);
    }

    /** What the rig itself says, past the server. */
    public String rig(String method, String path, String body) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + rigPort + path))
                                    .method(method, HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The last pan-tilt drive that the camera of this name heard, as the rig wrote it down. */
    public Optional<Heard> lastDrive(long job, String name) {
        for (JsonNode device : BrowserUser.json(rig("GET", "/halls/" + job, "")).get("devices")) {
            if (device.get("name").asString().equals(name)) {
                JsonNode drive = device.get("lastDrive");
                return drive == null || drive.isNull()
                        ? Optional.empty()
                        : Optional.of(
                                new Heard(
                                        Instant.parse(drive.get("at").asString()),
                                        drive.get("pan").asInt()));
            }
        }
        throw new IllegalStateException("no stand-in " + name);
    }

    /**
     * A drive as it came off the wire.
     *
     * @param at by the clock of this machine
     */
    public record Heard(Instant at, int pan) {}

    public void speed(int speed) {
        rig("PUT", "/clock", "{\"speed\":" + speed + "}");
    }

    /** A place for a file of a journey, in the build's own folder. */
    public static Path scratch(String name) {
        try {
            Path folder = Files.createDirectories(ROOT.resolve("e2e/target/scratch"));
            Path file = folder.resolve(name);
            Files.deleteIfExists(file);
            return file;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    public static String logs() {
        try {
            return Files.readString(LOGS.resolve("server.log"))
                    + Files.readString(LOGS.resolve("rig.log"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        others.forEach(s -> s.process.destroy());
        server.process.destroy();
        rig.destroy();
    }
}
