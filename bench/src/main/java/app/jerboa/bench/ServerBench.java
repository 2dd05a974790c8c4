package app.jerboa.bench;

import app.jerboa.e2e.harness.Desk;
import app.jerboa.e2e.harness.HttpPerson;
import app.jerboa.e2e.harness.Programs;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicInteger;

/** What people wait for: others' changes, a large job, many at once. */
final class ServerBench implements AutoCloseable {
    private static final int IN_FLIGHT = 100;
    private static final int JOBS = 10;

    private final Programs programs = new Programs(true);
    private final HttpPerson asha = new HttpPerson(programs::url).signIn("asha");

    /**
     * @param errors answers that were not 200
     */
    record Load(double perSecond, Sample millis, int errors) {}

    /**
     * @param bytes of the job as JSON, before compression
     */
    record Opening(Sample millis, int bytes) {}

    /** The floor: a request that does nothing. */
    Sample health(int rounds) {
        return timed(rounds, () -> asha.get("/actuator/health").join());
    }

    private static Sample timed(int rounds, Runnable once) {
        double[] millis = new double[rounds];
        for (int i = -rounds; i < rounds; i++) {
            long start = System.nanoTime();
            once.run();
            if (i >= 0) {
                millis[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        return Sample.of(millis);
    }

    Opening openLarge(int devices, int rounds) {
        HttpResponse<String> made = asha.post("/api/jobs/file", LargeJob.file(devices)).join();
        if (made.statusCode() != 201) {
            throw new IllegalStateException(made.body());
        }
        String path = "/api/jobs/" + Desk.json(made.body()).get("id").asLong();
        Sample millis = timed(rounds, () -> asha.get(path).join());
        return new Opening(millis, asha.get(path).join().body().length());
    }

    /** From sending a change at one server until another server's page shows it in a browser. */
    Sample changeToSecondBrowser(int rounds) {
        Programs.Server second = programs.another();
        try (Desk desk = new Desk(programs, second::url)) {
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

    /** Four reads to each write, over ten jobs; a write adds one taken address. */
    Load mixed(int requests) {
        List<Long> jobs = new ArrayList<>();
        for (int i = 0; i < JOBS; i++) {
            jobs.add(asha.newDemoJob());
        }
        run(jobs, requests / 2);
        return run(jobs, requests);
    }

    private Load run(List<Long> jobs, int requests) {
        Semaphore room = new Semaphore(IN_FLIGHT);
        AtomicInteger errors = new AtomicInteger();
        double[] millis = new double[requests];
        List<CompletableFuture<Void>> all = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < requests; i++) {
            int n = i;
            room.acquireUninterruptibly();
            long sent = System.nanoTime();
            all.add(
                    request("/api/jobs/" + jobs.get(n % JOBS), n)
                            .handle(
                                    (answer, lost) -> {
                                        millis[n] = (System.nanoTime() - sent) / 1e6;
                                        if (lost != null || answer.statusCode() != 200) {
                                            errors.incrementAndGet();
                                        }
                                        room.release();
                                        return null;
                                    }));
        }
        all.forEach(CompletableFuture::join);
        double seconds = (System.nanoTime() - start) / 1e9;
        return new Load(requests / seconds, Sample.of(millis), errors.get());
    }

    private CompletableFuture<HttpResponse<String>> request(String job, int n) {
        return n / JOBS % 5 == 0 ? write(job, n) : asha.get(job);
    }

    private CompletableFuture<HttpResponse<String>> write(String job, int n) {
        return asha.post(
                job + "/changes",
                "{\"adds\":[{\"item\":\"range\",\"id\":-1,\"values\":{\"use\":\"taken\",\"first\":\"10.44.9."
                        + n % 250
                        + "\",\"last\":\"10.44.9."
                        + n % 250
                        + "\"}}],\"edits\":[],\"removes\":[]}");
    }

    @Override
    public void close() {
        programs.close();
    }
}
