package app.jerboa.bench;

import static app.jerboa.bench.Pauses.pause;

import app.jerboa.e2e.harness.BrowserUser;
import app.jerboa.e2e.harness.DeskLine;
import app.jerboa.e2e.harness.HttpUser;
import app.jerboa.e2e.harness.Programs;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/** Many heads on the live network, driven by many desks of one server. */
final class DeskBench implements AutoCloseable {
    static final int CAMERAS = 128;

    /** A server that is up for a day is warm: the floor and what is held against it, too. */
    private static final int WARMING_SECONDS = 20;

    private static final int DRIVEN = 100;
    private static final int DESKS_A_PERSON = 10;
    private static final int SENDERS = 4;
    private static final long TICK_NANOS = 20_000_000L;
    private static final double LATE_MILLIS = 20;
    private static final String LOOSE =
            "{\"deadZone\":0.05,\"k\":0,\"rampSeconds\":0,\"pan\":1,\"tilt\":1,\"zoom\":1,"
                    + "\"focus\":1,\"recall\":1,\"crossingSeconds\":0}";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Programs programs = new Programs(true);
    private final HeadSinks sinks = new HeadSinks(CAMERAS);
    private final List<HttpUser> people = new ArrayList<>();
    private final List<Long> cameras = new ArrayList<>();
    private final long job;

    /**
     * @param late frames that came more than 20 ms after their stick message, in per cent
     * @param lost stick messages without a frame
     * @param cpu of all cores together, in per cent of one
     */
    record Many(Sample millis, double late, int lost, double cpu, double megabytes) {}

    /**
     * @param tasks longer than 50 ms while one drives
     */
    record Trace(int tasks, double longest) {}

    DeskBench() throws IOException {
        HttpUser asha = new HttpUser(programs::url).signIn("asha");
        people.add(asha);
        job = asha.send("POST", "/api/jobs/file", LargeJob.sinks(CAMERAS)).get("id").asLong();
        asha.send("PUT", "/api/jobs/" + job + "/world", "{\"world\":\"live\",\"confirmed\":true}");
        asha.json("/api/jobs/" + job + "/desk")
                .get("cameras")
                .forEach(c -> cameras.add(c.get("id").asLong()));
        asha.clear(job, true);
        while (people.size() * DESKS_A_PERSON < DRIVEN) {
            people.add(guest(asha, "guest" + people.size()));
        }
        people.forEach(p -> p.send("PUT", "/api/jobs/" + job + "/desk/feels/ceiling-ptz", LOOSE));
    }

    private HttpUser guest(HttpUser lead, String login) {
        String path =
                lead.send(
                                "POST",
                                "/api/jobs/" + job + "/people/invitations",
                                "{\"role\":\"technician\",\"days\":1}")
                        .get("path")
                        .asString()
                        .replace("/invitation/", "/auth/invitations/");
        HttpUser guest = new HttpUser(programs::url);
        guest.get(path).join();
        guest.send(
                "POST",
                path + "/account",
                JSON.writeValueAsString(
                        Map.of("login", login, "name", login, "password", Programs.PASSWORD)));
        return new HttpUser(programs::url).signIn(login);
    }

    static String stick(double pan) {
        return "{\"type\":\"stick\",\"pan\":" + pan + ",\"tilt\":0,\"zoom\":0,\"limit\":1}";
    }

    private DeskLine line(int head) {
        return people.get(head % people.size()).desk().take(job, cameras.get(head));
    }

    /** One desk that drives all the time, beside its floors. */
    OneDesk.Times one(int turns, int messages) throws IOException {
        try (DeskLine desk = line(0)) {
            return new OneDesk(sinks).measured(desk, turns, messages);
        }
    }

    /** A hundred desks, each with another speed every 20 ms. */
    Many fiftyHertz(int seconds) throws InterruptedException {
        List<DeskLine> lines = takeAll();
        List<StickMessages> sent = messages();
        sinks.listen((head, nanos, pan) -> sent.get(head).heard(nanos, pan));
        return fiftyHertz(lines, sent, seconds);
    }

    /** The same messages to a hundred bare sockets: what this machine itself is late by. */
    Many bareFiftyHertz(int seconds) throws IOException, InterruptedException {
        List<BareSocket> bare = new ArrayList<>();
        List<DeskLine> lines = new ArrayList<>();
        for (int head = 0; head < DRIVEN; head++) {
            BareSocket socket = new BareSocket(HeadSinks.address(head));
            bare.add(socket);
            lines.add(new DeskLine(socket.url(), "", 64 * 1024));
        }
        List<StickMessages> sent = messages();
        sinks.listen((head, nanos, pan) -> sent.get(head).heardNext(nanos));
        Many many = fiftyHertz(lines, sent, seconds);
        for (BareSocket socket : bare) {
            socket.close();
        }
        return many;
    }

    private static List<StickMessages> messages() {
        return Stream.generate(StickMessages::new).limit(DRIVEN).toList();
    }

    private Many fiftyHertz(List<DeskLine> lines, List<StickMessages> sent, int seconds)
            throws InterruptedException {
        drive(lines, sent, WARMING_SECONDS);
        // One that fell silent while the server was cold drives again once its stick is let go.
        lines.forEach(DeskLine::release);
        pause(500);
        sent.forEach(StickMessages::forget);
        double cpu = programs.serverCpu().toMillis();
        drive(lines, sent, seconds);
        pause(500);
        cpu = (programs.serverCpu().toMillis() - cpu) / (seconds * 10.0);
        sinks.listen((head, nanos, pan) -> {});
        lines.forEach(DeskLine::close);
        double[] all = sent.stream().flatMapToDouble(StickMessages::millis).toArray();
        int lost = sent.stream().mapToInt(StickMessages::lost).sum();
        double late = Arrays.stream(all).filter(m -> m > LATE_MILLIS).count() + lost;
        return new Many(
                Sample.of(all),
                100.0 * late / (all.length + lost),
                lost,
                cpu,
                programs.serverMegabytes());
    }

    private static void drive(List<DeskLine> lines, List<StickMessages> sent, int seconds)
            throws InterruptedException {
        List<Thread> senders = new ArrayList<>();
        for (int s = 0; s < SENDERS; s++) {
            int first = s;
            Thread sender = new Thread(() -> driveSome(lines, sent, first, seconds));
            sender.start();
            senders.add(sender);
        }
        for (Thread sender : senders) {
            sender.join();
        }
    }

    private static void driveSome(
            List<DeskLine> lines, List<StickMessages> sent, int first, int seconds) {
        long begun = System.nanoTime();
        for (int tick = 0; tick < seconds * 50; tick++) {
            boolean fast = tick % 2 == 0;
            for (int head = first; head < lines.size(); head += SENDERS) {
                centreIfSilenced(lines.get(head), sent.get(head));
                sent.get(head).sending(fast);
                lines.get(head).send(stick(fast ? 0.9 : 0.5));
            }
            LockSupport.parkNanos(begun + (tick + 1) * TICK_NANOS - System.nanoTime());
        }
    }

    /** As somebody at a stick does whose head was stopped: this machine stood for 200 ms. */
    private static void centreIfSilenced(DeskLine line, StickMessages sent) {
        if (line.wasSilenced()) {
            line.release();
            sent.centred();
        }
    }

    private List<DeskLine> takeAll() {
        List<DeskLine> lines = new ArrayList<>();
        for (int head = 0; head < DRIVEN; head++) {
            lines.add(line(head));
        }
        return lines;
    }

    /**
     * From STOP ALL until the last of a hundred moving heads was told to stop.
     *
     * @param there a second server, or the first
     */
    Sample stopAll(int times, boolean there) {
        Programs.Server second = there ? programs.another() : null;
        HttpUser who = there ? new HttpUser(second::url).signIn("asha") : people.get(1);
        List<DeskLine> lines = takeAll();
        double[] millis = new double[times];
        try (DeskLine other = who.desk()) {
            other.send("{\"type\":\"open\",\"job\":" + job + "}");
            for (int i = 0; i < times; i++) {
                pause(300);
                lines.forEach(DeskLine::release);
                lines.forEach(l -> l.hold(0.5));
                pause(1_500);
                AtomicLongArray stopped = new AtomicLongArray(DRIVEN);
                sinks.listen(
                        (head, nanos, pan) -> {
                            if (pan == 0 && stopped.get(head) == 0) {
                                stopped.set(head, nanos);
                            }
                        });
                long at = System.nanoTime();
                other.stopAll();
                millis[i] = (allStopped(stopped) - at) / 1e6;
            }
        } finally {
            lines.forEach(DeskLine::close);
        }
        return Sample.of(millis);
    }

    private static long allStopped(AtomicLongArray stopped) {
        long last = 0;
        for (int head = 0; head < DRIVEN; head++) {
            for (int i = 0; i < 5_000 && stopped.get(head) == 0; i++) {
                pause(1);
            }
            if (stopped.get(head) == 0) {
                throw new IllegalStateException("head " + (head + 1) + " was not stopped");
            }
            last = Math.max(last, stopped.get(head));
        }
        return last;
    }

    /** The page of 128 keys, one of them driven there, ten others by somebody else. */
    Trace page(int seconds) {
        List<DeskLine> others = new ArrayList<>();
        for (int head = 0; head < 10; head++) {
            others.add(line(head));
        }
        try (BrowserUser desk = new BrowserUser(programs)) {
            desk.signIn();
            desk.open(job, "desk");
            desk.page.locator("[aria-label=Cameras] button").first().waitFor();
            desk.page.keyboard().type("120");
            desk.page.locator("[data-reading=Pan]").waitFor();
            pause(1_000);
            others.forEach(l -> l.hold(0.5));
            desk.page.evaluate(
                    "() => { window.long = []; new PerformanceObserver(l => l.getEntries().forEach(e => window.long.push(e.duration))).observe({entryTypes: ['longtask']}) }");
            for (int i = 0; i < seconds; i++) {
                desk.page.keyboard().down(i % 2 == 0 ? "ArrowRight" : "ArrowLeft");
                pause(800);
                desk.page.keyboard().up(i % 2 == 0 ? "ArrowRight" : "ArrowLeft");
                pause(200);
            }
            int tasks = ((Number) desk.page.evaluate("() => window.long.length")).intValue();
            double longest =
                    ((Number) desk.page.evaluate("() => Math.max(0, ...window.long)"))
                            .doubleValue();
            return new Trace(tasks, longest);
        } finally {
            others.forEach(DeskLine::close);
        }
    }

    @Override
    public void close() throws IOException {
        programs.close();
        sinks.close();
    }
}
