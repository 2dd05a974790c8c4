package app.jerboa.server.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.desk.DeskWay;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.PluggedLeads;
import app.jerboa.wire.link.session.HeadLink;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Asks the cameras of a job that is open at a desk of this server, and that nobody drives, now and
 * then where they point: a camera that has gone is seen before somebody needs it. It only asks, on
 * threads of its own, a few at once; what has room for one client alone is left to whoever drives.
 */
@Component
class RollCall {
    private static final Duration LOOKS = Duration.ofSeconds(1);
    private static final long EVERY_NANOS = TimeUnit.SECONDS.toNanos(10);
    private static final long PATIENCE_MILLIS = 1_500;
    private static final int SLOW_IN_A_ROW = 3;
    private static final int AT_ONCE = 4;
    private static final int MOST_WAITING = 1_024;

    private final Map<CameraId, Presence> seen = new ConcurrentHashMap<>();

    /** When each job was called last; one that is being called is not called again. */
    private final Map<Long, Long> called = new ConcurrentHashMap<>();

    private final Set<Long> calling = ConcurrentHashMap.newKeySet();
    private final ExecutorService asking = Threads.few("roll-call", AT_ONCE, MOST_WAITING);
    private final ScheduledExecutorService looking;
    private final Desks desks;
    private final CameraLinks links;
    private final Contacts contacts;
    private final Gates gates;
    private final Jobs jobs;
    private final Live live;
    private final PluggedLeads plugged;
    private final LongSupplier clock;

    @Autowired
    RollCall(
            Desks desks,
            CameraLinks links,
            Contacts contacts,
            Gates gates,
            Jobs jobs,
            Live live,
            PluggedLeads plugged) {
        this(desks, links, contacts, gates, jobs, live, plugged, LOOKS, System::nanoTime);
    }

    /**
     * @param looks how often it is looked which job is due
     * @param clock nanoseconds, by which a job is due again
     */
    RollCall(
            Desks desks,
            CameraLinks links,
            Contacts contacts,
            Gates gates,
            Jobs jobs,
            Live live,
            PluggedLeads plugged,
            Duration looks,
            LongSupplier clock) {
        this.clock = clock;
        this.plugged = plugged;
        this.contacts = contacts;
        this.desks = desks;
        this.links = links;
        this.gates = gates;
        this.jobs = jobs;
        this.live = live;
        this.looking = Threads.loop("roll-call-due", looks, this::look);
    }

    Presence of(CameraId camera) {
        return seen.getOrDefault(camera, Presence.UNKNOWN);
    }

    private void look() {
        Set<Long> open =
                desks.all().stream()
                        .filter(d -> !d.machine)
                        .map(Desk::job)
                        .filter(j -> j != 0)
                        .collect(Collectors.toSet());
        seen.keySet().removeIf(c -> !open.contains(c.job()));
        called.keySet().retainAll(open);
        long now = clock.getAsLong();
        open.stream()
                .filter(j -> !called.containsKey(j) || now - called.get(j) > EVERY_NANOS)
                .filter(calling::add)
                .forEach(j -> Threads.guarded("a roll call", () -> call(j, now)));
    }

    private void call(long job, long now) {
        called.put(job, now);
        List<CompletableFuture<Boolean>> all = List.of();
        try {
            Jobs.Stored stored = jobs.load(job);
            all =
                    idle(stored).stream()
                            .map(
                                    d ->
                                            CompletableFuture.supplyAsync(
                                                    () -> changed(stored, d), asking))
                            .toList();
        } finally {
            List<CompletableFuture<Boolean>> asked = all;
            CompletableFuture.allOf(asked.toArray(CompletableFuture[]::new))
                    .whenComplete((done, failure) -> ended(job, asked));
        }
    }

    /** Every page shows at once what has come or gone. */
    private void ended(long job, List<CompletableFuture<Boolean>> asked) {
        calling.remove(job);
        if (asked.stream().anyMatch(a -> !a.isCompletedExceptionally() && a.join())) {
            live.changed(job, Notice.DRIVERS);
        }
    }

    private List<Device> idle(Jobs.Stored stored) {
        DeskWays ways = contacts.ways(stored);
        Map<Long, GateMapper.Said> said = gates.said(stored.id());
        return stored.job().lines().stream()
                .flatMap(l -> stored.job().device(l.camera()).stream())
                .filter(d -> d.profile().head().isPresent())
                .filter(d -> mayBeAsked(stored.id(), ways.to(d)))
                .filter(d -> !driven(said.get(d.id().value())))
                .toList();
    }

    private static boolean driven(GateMapper.Said said) {
        return said != null && !said.heldBy().isBlank();
    }

    private boolean mayBeAsked(long job, DeskWay way) {
        return way.match(
                new DeskWay.Cases<>() {
                    @Override
                    public Boolean overNetwork(DeskWay.OverNetwork it) {
                        return it.protocol() != Protocol.VISCA_TCP;
                    }

                    @Override
                    public Boolean overLine(DeskWay.OverLine it) {
                        return it.tells() && plugged.isThere(job, it);
                    }

                    @Override
                    public Boolean none(DeskWay.None it) {
                        return false;
                    }
                });
    }

    private boolean changed(Jobs.Stored stored, Device device) {
        CameraId id = new CameraId(stored.id(), device.id().value());
        Presence now = ask(stored, device);
        Presence before = of(id);
        if (before.state().equals(now.state()) && before.why().equals(now.why())) {
            // The very same: a page that shows many keys draws none of them anew for it.
            return false;
        }
        seen.put(id, now);
        return true;
    }

    private Presence ask(Jobs.Stored stored, Device device) {
        try (HeadLink link = links.told(stored, device)) {
            Presence seen = answered(link);
            // One slow answer tells of this machine as well as of the camera.
            for (int i = 1; i < SLOW_IN_A_ROW && seen.slow(); i++) {
                seen = answered(link);
            }
            return seen;
        } catch (Problem e) {
            return Presence.lost(Instant.now(), e.getMessage());
        } catch (ExecutionException | TimeoutException e) {
            return Presence.lost(
                    Instant.now(), Words.say("roll-call.silent", Map.of("camera", device.name())));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Presence.UNKNOWN;
        }
    }

    private static Presence answered(HeadLink link)
            throws ExecutionException, TimeoutException, InterruptedException {
        long began = System.nanoTime();
        link.askPanTilt(true).get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
        long millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began);
        return Presence.answered(Instant.now(), (int) millis);
    }

    @PreDestroy
    void close() {
        looking.shutdownNow();
        asking.shutdownNow();
    }
}
