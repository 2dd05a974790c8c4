package app.jerboa.bench;

import static app.jerboa.bench.Pauses.pause;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;

/**
 * A busy house: 50 pages that follow the job, 30 desks of which four drive, and so many requests a
 * second, four reads to a write; beside as many requests that do nothing.
 */
final class HardUseBench implements AutoCloseable {
    private static final int STREAMS = 50;
    private static final int DESKS = 30;
    private static final int SECONDS = 12;
    private static final List<String> LOGINS = List.of("asha", "tomas", "mei");

    private final Programs programs = new Programs(true);
    private final BrowserUser desk = new BrowserUser(programs);
    private final List<HttpUser> people = new ArrayList<>();
    private final List<DeskLine> lines = new ArrayList<>();
    private final long job;

    /**
     * @param errors answers that were not 200
     * @param megabytes resident memory of the server at the end
     */
    record Load(Sample millis, int errors, double megabytes) {}

    HardUseBench() {
        desk.signIn();
        job = desk.broughtUpJob();
        LOGINS.forEach(login -> people.add(new HttpUser(programs::url).signIn(login)));
        for (HttpUser guest : people.subList(1, people.size())) {
            letIn(guest);
        }
        for (int i = 0; i < STREAMS; i++) {
            people.get(i % people.size()).get("/api/jobs/" + job + "/events?tab=bench-tab-" + i);
        }
        for (int i = 0; i < DESKS; i++) {
            DeskLine line = people.get(i % people.size()).desk();
            lines.add(line);
            if (i < 4) {
                line.take(job, desk.device(job, "L" + (i + 1)));
                line.hold(i % 2 == 0 ? 0.3 : -0.3);
            } else {
                line.send("{\"type\":\"open\",\"job\":" + job + "}");
            }
        }
    }

    private void letIn(HttpUser guest) {
        String path =
                BrowserUser.json(
                                people.get(0)
                                        .post(
                                                "/api/jobs/" + job + "/people/invitations",
                                                "{\"role\":\"technician\",\"days\":1}")
                                        .join()
                                        .body())
                        .get("path")
                        .asString();
        guest.post("/auth/invitations/" + path.replace("/invitation/", "") + "/join", "{}").join();
    }

    Load nothing(int perSecond) {
        return run(perSecond, n -> people.get(0).get("/actuator/health"));
    }

    Load mixed(int perSecond) {
        return run(perSecond, n -> request(people.get(n % people.size()), n));
    }

    private CompletableFuture<HttpResponse<String>> request(HttpUser person, int n) {
        if (n % 5 != 0) {
            return person.get("/api/jobs/" + job);
        }
        String address = "10.44.9." + (1 + n / 5 % 250);
        return person.post(
                "/api/jobs/" + job + "/changes",
                BrowserUser.changes(
                        List.of(
                                Map.of(
                                        "item",
                                        "range",
                                        "id",
                                        -1,
                                        "values",
                                        Map.of("first", address, "last", address))),
                        List.of()));
    }

    private Load run(int perSecond, IntFunction<CompletableFuture<HttpResponse<String>>> one) {
        ConcurrentLinkedQueue<Double> millis = new ConcurrentLinkedQueue<>();
        AtomicInteger errors = new AtomicInteger();
        List<CompletableFuture<?>> all = new ArrayList<>();
        long begin = System.nanoTime();
        for (int n = 0; n < perSecond * SECONDS; n++) {
            long due = begin + n * 1_000_000_000L / perSecond;
            pause((due - System.nanoTime()) / 1_000_000);
            all.add(
                    one.apply(n)
                            .handle(
                                    (answer, failure) -> {
                                        millis.add((System.nanoTime() - due) / 1e6);
                                        if (failure != null || answer.statusCode() != 200) {
                                            errors.incrementAndGet();
                                        }
                                        return null;
                                    }));
        }
        all.forEach(CompletableFuture::join);
        double[] sorted = millis.stream().mapToDouble(Double::doubleValue).toArray();
        return new Load(Sample.of(sorted), errors.get(), programs.serverMegabytes());
    }

    /** The desks that drove through it all and still do. */
    long driving() {
        return lines.subList(0, 4).stream().filter(l -> !l.ended()).count();
    }

    @Override
    public void close() {
        lines.forEach(DeskLine::close);
        desk.close();
        programs.close();
    }
}
