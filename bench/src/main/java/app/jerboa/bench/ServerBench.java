package app.jerboa.bench;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CompletableFuture;

/** What people wait for: others' changes, a large job, many at once. */
final class ServerBench implements AutoCloseable {
    /** One after the other, before what it is held against has its turn. */
    private static final int IN_TURN = 10;

    /** Jobs opened after a restart before any is measured. */
    private static final int WARM_UP = 25;

    private static final Duration WARMING = Duration.ofSeconds(8);

    private final Programs programs = new Programs(true);
    private final HttpUser asha = person();

    private HttpUser person() {
        return new HttpUser(programs::url).signIn("asha");
    }

    /**
     * @param bytes of the job as JSON, before compression
     */
    record Opening(Sample millis, int bytes) {}

    /** The floor: a request that does nothing. */
    Sample health(int rounds) {
        return timed(rounds, () -> asha.get("/actuator/health").join());
    }

    private static Sample timed(int rounds, Runnable once) {
        warm(once);
        double[] millis = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            millis[i] = millis(once);
        }
        return Sample.of(millis);
    }

    /** A server that is up for a day is warm: the floors and what is held against them, too. */
    private static void warm(Runnable once) {
        long warm = System.nanoTime() + WARMING.toNanos();
        while (System.nanoTime() < warm) {
            once.run();
        }
    }

    private static double millis(Runnable once) {
        long start = System.nanoTime();
        once.run();
        return (System.nanoTime() - start) / 1e6;
    }

    Opening openLarge(int devices, int rounds) {
        String path = "/api/jobs/" + made(LargeJob.file(devices));
        Sample millis = timed(rounds, () -> asha.get(path).join());
        return new Opening(millis, asha.get(path).join().body().length());
    }

    private long made(String file) {
        HttpResponse<String> made = asha.post("/api/jobs/file", file).join();
        if (made.statusCode() != 201) {
            throw new IllegalStateException(made.body());
        }
        return BrowserUser.json(made.body()).get("id").asLong();
    }

    /** The floor of opening: as many bytes out of the memory of a server that does nothing else. */
    static Sample bytes(int count, int rounds) throws IOException {
        byte[] body = new byte[count];
        Arrays.fill(body, (byte) 'x');
        HttpServer server =
                HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext(
                "/",
                exchange -> {
                    exchange.sendResponseHeaders(200, count);
                    exchange.getResponseBody().write(body);
                    exchange.close();
                });
        server.start();
        HttpUser reader =
                new HttpUser(path -> "http://127.0.0.1:" + server.getAddress().getPort() + path);
        try {
            return timed(rounds, () -> reader.get("/").join());
        } finally {
            server.stop(0);
        }
    }

    /** Of jobs that this server has never shown: each opened once, after a restart. */
    Sample openUnseen(int devices, int jobs) {
        List<Long> made = new ArrayList<>();
        for (int i = 0; i < WARM_UP + jobs; i++) {
            made.add(made(LargeJob.file(devices)));
        }
        programs.killServer();
        programs.startServer();
        asha.signIn("asha");
        double[] millis = new double[jobs];
        for (int i = 0; i < WARM_UP + jobs; i++) {
            long start = System.nanoTime();
            asha.get("/api/jobs/" + made.get(i)).join();
            millis[Math.max(0, i - WARM_UP)] = (System.nanoTime() - start) / 1e6;
        }
        return Sample.of(millis);
    }

    static CompletableFuture<HttpResponse<String>> here(HttpUser person, String job) {
        return person.post(job + "/presence", "{\"tab\":\"tab-of-bench\",\"page\":\"Kit\"}");
    }

    /**
     * @param row the floor of changing: one row is written in a transaction, and everybody is told
     * @param edit one edited run length in a job of halls that are all joined
     * @param bytes of the longest answer to an edit
     */
    record Editing(Sample row, Sample edit, int bytes) {}

    /** In turns, so that both meet the same moments of a machine that others use too. */
    Editing editing(int devices, int rounds) {
        String rows = "/api/jobs/" + asha.newDemoJob();
        long job = made(LargeJob.cabled(devices / 10));
        int[] metres = {40};
        int[] bytes = {0};
        Runnable row = () -> here(asha, rows).join();
        Runnable edit =
                () -> {
                    String change = metres(50, metres[0], metres[0] % 40 + 41);
                    HttpResponse<String> answer =
                            asha.post("/api/jobs/" + job + "/changes", change).join();
                    if (answer.statusCode() != 200) {
                        throw new IllegalStateException(answer.body());
                    }
                    metres[0] = metres[0] % 40 + 41;
                    bytes[0] = Math.max(bytes[0], answer.body().length());
                };
        warm(row);
        warm(edit);
        double[] written = new double[rounds * IN_TURN];
        double[] edited = new double[rounds * IN_TURN];
        for (int i = 0; i < written.length; i += IN_TURN) {
            time(written, i, row);
            time(edited, i, edit);
        }
        return new Editing(Sample.of(written), Sample.of(edited), bytes[0]);
    }

    private static void time(double[] millis, int from, Runnable once) {
        for (int i = from; i < from + IN_TURN; i++) {
            millis[i] = millis(once);
        }
    }

    private static String metres(long run, int from, int to) {
        return "{\"adds\":[],\"edits\":[{\"item\":\"run\",\"id\":%d,\"field\":\"metres\",\"before\":\"%d\",\"after\":\"%d\"}],\"removes\":[]}"
                .formatted(run, from, to);
    }

    /** From sending a change at one server until another server's page shows it in a browser. */
    Sample changeToSecondBrowser(int rounds) {
        Programs.Server second = programs.another();
        try (BrowserUser desk = new BrowserUser(programs, second::url)) {
            desk.signIn();
            long job = asha.newDemoJob();
            long device = desk.device(job, "L1");
            desk.open(job, "addresses");
            desk.page.evaluate(
                    "() => { const row = document.querySelector(\"tr[data-row='L1']\"); new MutationObserver(() => { window.shown = performance.timeOrigin + performance.now(); window.text = row.innerText }).observe(row, {subtree: true, childList: true, characterData: true}) }");
            double[] millis = new double[rounds];
            String from = "10.44.8.21";
            for (int i = -10; i < rounds; i++) {
                String to = "10.44.8." + (i % 2 == 0 ? 41 : 42);
                double sent = System.currentTimeMillis();
                asha.post("/api/jobs/" + job + "/changes", edit(device, from, to)).join();
                desk.page.waitForFunction("a => window.text?.includes(a)", to);
                double shown = ((Number) desk.page.evaluate("() => window.shown")).doubleValue();
                if (i >= 0) {
                    millis[i] = shown - sent;
                }
                from = to;
            }
            return Sample.of(millis);
        }
    }

    private static String edit(long device, String from, String to) {
        return "{\"adds\":[],\"edits\":[{\"item\":\"device\",\"id\":"
                + device
                + ",\"field\":\"address\",\"before\":\""
                + from
                + "\",\"after\":\""
                + to
                + "\"}],\"removes\":[]}";
    }

    /** Ten more people, each with a job of their own. */
    InFlight inFlight() {
        return new InFlight(this::person);
    }

    @Override
    public void close() {
        programs.close();
    }
}
