package app.jerboa.bench;

import app.jerboa.e2e.harness.HttpUser;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** A hundred requests in flight, four reads to one write, from ten people in ten jobs. */
final class InFlight {
    private static final int AT_ONCE = 100;
    private static final int JOBS = 10;
    private static final int TURNS = 5;

    private final List<Page> pages;

    InFlight(Supplier<HttpUser> person) {
        pages =
                IntStream.range(0, JOBS)
                        .mapToObj(n -> person.get())
                        .map(who -> new Page(who, who.newDemoJob()))
                        .toList();
    }

    /**
     * @param errors answers that were not 200
     */
    record Load(double perSecond, Sample millis, int errors) {
        /** One after the other, each of as many requests. */
        static Load of(List<Load> all) {
            return new Load(
                    Sample.of(all.stream().mapToDouble(Load::perSecond).toArray()).median(),
                    Sample.of(all.stream().map(Load::millis).toList()),
                    all.stream().mapToInt(Load::errors).sum());
        }
    }

    /**
     * Each change adds one taken address.
     *
     * @param rows the floor: one row is read, or written
     * @param pages what a page asks that shows the job: the changes since what it shows
     * @param whole the whole job for every read, as somebody asks who has just come
     */
    record Mixed(Load rows, Load pages, Load whole) {}

    /** Once to warm up, then in turns: all three meet the same moments of a shared machine. */
    Mixed measured(int requests) {
        run(requests, this::oneRow);
        run(requests, this::asPages);
        run(requests, this::asNewcomers);
        List<Load> rows = new ArrayList<>();
        List<Load> asPages = new ArrayList<>();
        List<Load> whole = new ArrayList<>();
        for (int i = 0; i < TURNS; i++) {
            rows.add(run(requests / TURNS, this::oneRow));
            asPages.add(run(requests / TURNS, this::asPages));
            whole.add(run(requests / TURNS, this::asNewcomers));
        }
        return new Mixed(Load.of(rows), Load.of(asPages), Load.of(whole));
    }

    private CompletableFuture<HttpResponse<String>> oneRow(int n) {
        Page page = pages.get(n % JOBS);
        return writes(n) ? ServerBench.here(page.who, page.job) : page.tooFarBehind();
    }

    private CompletableFuture<HttpResponse<String>> asPages(int n) {
        Page page = pages.get(n % JOBS);
        return writes(n) ? page.changed(n) : page.followed();
    }

    private CompletableFuture<HttpResponse<String>> asNewcomers(int n) {
        Page page = pages.get(n % JOBS);
        return writes(n) ? page.changed(n) : page.whole();
    }

    private static boolean writes(int n) {
        return n / JOBS % 5 == 0;
    }

    private static Load run(
            int requests, IntFunction<CompletableFuture<HttpResponse<String>>> one) {
        Semaphore room = new Semaphore(AT_ONCE);
        AtomicInteger errors = new AtomicInteger();
        double[] millis = new double[requests];
        List<CompletableFuture<Void>> all = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < requests; i++) {
            int n = i;
            room.acquireUninterruptibly();
            long sent = System.nanoTime();
            all.add(
                    one.apply(n)
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

    /** One page of one job, which knows the version that it shows. */
    private static final class Page {
        private final HttpUser who;
        private final String job;
        private volatile Shown shown;

        private record Shown(long version, long observed) {
            private static final Pattern STATE =
                    Pattern.compile("\"version\":(\\d+),\"observed\":(\\d+)");

            /** Out of the head of the text: what it costs to read all of it is not the server's. */
            static Shown of(String body) {
                Matcher state = STATE.matcher(body);
                if (!state.find()) {
                    throw new IllegalStateException(body);
                }
                return new Shown(Long.parseLong(state.group(1)), Long.parseLong(state.group(2)));
            }
        }

        Page(HttpUser who, long job) {
            this.who = who;
            this.job = "/api/jobs/" + job;
            this.shown = Shown.of(who.get(this.job).join().body());
        }

        CompletableFuture<HttpResponse<String>> whole() {
            return who.get(job);
        }

        /** Read after the role alone: no version so old is held. */
        CompletableFuture<HttpResponse<String>> tooFarBehind() {
            return who.get(job + "/patch?since=1");
        }

        /** The whole job where the server does not hold any more what this page shows. */
        CompletableFuture<HttpResponse<String>> followed() {
            Shown now = shown;
            return who.get(job + "/patch?since=" + now.version + "&observed=" + now.observed)
                    .thenCompose(a -> a.statusCode() == 410 ? whole() : done(a))
                    .thenApply(this::shows);
        }

        CompletableFuture<HttpResponse<String>> changed(int n) {
            String address = "10.44.9." + n % 250;
            return who.post(
                            job + "/changes",
                            "{\"adds\":[{\"item\":\"range\",\"id\":-1,\"values\":{\"use\":\"taken\",\"first\":\""
                                    + address
                                    + "\",\"last\":\""
                                    + address
                                    + "\"}}],\"edits\":[],\"removes\":[]}")
                    .thenApply(this::shows);
        }

        private static <T> CompletableFuture<T> done(T answer) {
            return CompletableFuture.completedFuture(answer);
        }

        /** Of answers that overtook each other the newest counts. */
        private synchronized HttpResponse<String> shows(HttpResponse<String> answer) {
            if (answer.statusCode() == 200) {
                Shown now = Shown.of(answer.body());
                shown = now.version > shown.version ? now : shown;
            }
            return answer;
        }
    }
}
