package app.jerboa.server.tally;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Protocol;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.tally.TallyMapper.Source;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.switcher.SwitcherLink;
import jakarta.annotation.PreDestroy;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Listens to the switchers of jobs whose cameras are driven from this server. When this thread
 * dies, a switcher falls silent or the database hangs, what was heard grows old by itself, and then
 * counts as on air.
 */
@Component
class TallyWatch {
    private static final Logger LOG = LoggerFactory.getLogger(TallyWatch.class);
    private static final Duration EVERY = Duration.ofMillis(500);

    /** Then what was heard last is older than three seconds, and no longer known. */
    private static final int OLD_AFTER_LOOKS = 7;

    private final Tallies tallies;
    private final TallyMapper mapper;
    private final MachineDesks desks;
    private final Jobs jobs;
    private final Contacts contacts;
    private final WireLogs logs;
    private final Map<Source, Open> open = new HashMap<>();

    /** Looks since the last that heard something; none while it is heard. */
    private final Map<Source, Integer> silentLooks = new HashMap<>();

    /** Of which a change waits to be stored. */
    private final Set<Source> changed = ConcurrentHashMap.newKeySet();

    private final ScheduledExecutorService timer =
            Executors.newScheduledThreadPool(
                    1,
                    task -> {
                        Thread thread = new Thread(task, "switchers");
                        thread.setDaemon(true);
                        return thread;
                    });
    private final ScheduledExecutorService watch;

    private record Open(SwitcherLink link, InetSocketAddress at) {}

    TallyWatch(
            Tallies tallies,
            TallyMapper mapper,
            MachineDesks desks,
            Jobs jobs,
            Contacts contacts,
            WireLogs logs) {
        this.tallies = tallies;
        this.mapper = mapper;
        this.desks = desks;
        this.jobs = jobs;
        this.contacts = contacts;
        this.logs = logs;
        this.watch = Threads.loop("tally", EVERY, this::look);
    }

    private synchronized void look() {
        Set<Long> driven = desks.openJobs();
        List<Source> wanted = driven.isEmpty() ? List.of() : mapper.sources(driven);
        open.entrySet()
                .removeIf(
                        e -> {
                            boolean gone = !wanted.contains(e.getKey());
                            if (gone) {
                                e.getValue().link().close();
                            }
                            return gone;
                        });
        for (Source source : wanted) {
            Threads.guarded("a look at a switcher", () -> look(source));
        }
    }

    private void look(Source source) {
        Jobs.Stored stored = jobs.load(source.job());
        Optional<InetSocketAddress> at = at(stored, stored.need(source.switcher()));
        Open known = open.get(source);
        if (known != null && at.filter(known.at()::equals).isEmpty()) {
            known.link().close();
            open.remove(source);
        }
        OptionalInt programme =
                at.map(a -> open.computeIfAbsent(source, s -> connect(s, a)).link().programme())
                        .orElse(OptionalInt.empty());
        if (programme.isPresent()) {
            boolean back = silentLooks.remove(source) != null;
            store(source, programme.getAsInt(), changed.remove(source) || back);
        } else if (silentLooks.merge(source, 1, Integer::sum) == OLD_AFTER_LOOKS) {
            tallies.silent(source.job());
        }
    }

    private void store(Source source, int programme, boolean fresh) {
        Device switcher = jobs.load(source.job()).need(source.switcher());
        tallies.heard(source.job(), switcher.id(), programme, fresh);
    }

    private Open connect(Source source, InetSocketAddress at) {
        return new Open(
                new SwitcherLink(
                        TcpStream.open(at, timer),
                        timer,
                        System::nanoTime,
                        InstantSource.system(),
                        logs.of(source.job(), source.switcher()),
                        () -> {
                            changed.add(source);
                            watch.execute(() -> Threads.guarded("a tally", this::look));
                        }),
                at);
    }

    private Optional<InetSocketAddress> at(Jobs.Stored stored, Device switcher) {
        if (switcher.address().isEmpty()) {
            return Optional.empty();
        }
        try {
            Answering answering = contacts.answering(stored, switcher, switcher.address().get());
            return Optional.ofNullable(answering.ports().get(Protocol.SWITCHER.toString()))
                    .map(port -> new InetSocketAddress(answering.host(), port));
        } catch (Problem silent) {
            LOG.debug("{}: {}", switcher.name(), silent.getMessage());
            return Optional.empty();
        }
    }

    @PreDestroy
    synchronized void close() {
        watch.shutdownNow();
        open.values().forEach(o -> o.link().close());
        timer.shutdownNow();
    }
}
