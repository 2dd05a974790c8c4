package app.jerboa.server.tally;

import app.jerboa.core.job.Device;
import app.jerboa.core.knob.TallyTold;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.value.DeviceId;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.TallyFetch;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.tally.TallyMapper.Source;
import app.jerboa.server.world.Answering;
import app.jerboa.server.world.Contacts;
import app.jerboa.server.world.WireLogs;
import app.jerboa.wire.http.AnswerShape;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.switcher.ProgrammeQuestion;
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
import java.util.concurrent.ExecutorService;
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
    private final TallyFetch fetch;
    private static final int ASKED_AT_ONCE = 4;
    private static final int MOST_ASKED = 64;

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

    /** Those that are asked over HTTP: each waits for its device. */
    private final ExecutorService asking = Threads.few("tally-asking", ASKED_AT_ONCE, MOST_ASKED);

    /**
     * One that is listened to.
     *
     * @param how its profile says that it tells
     */
    private record Open(ProgrammeEar ear, InetSocketAddress at, TallyTold how) {}

    TallyWatch(
            Tallies tallies,
            TallyMapper mapper,
            MachineDesks desks,
            Jobs jobs,
            Contacts contacts,
            WireLogs logs,
            TallyFetch fetch) {
        this.fetch = fetch;
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
                                e.getValue().ear().close();
                            }
                            return gone;
                        });
        for (Source source : wanted) {
            Threads.guarded("a look at a switcher", () -> look(source));
        }
    }

    private void look(Source source) {
        Jobs.Stored stored = jobs.load(source.job());
        // One that left the kit says nothing any more: its cameras may be on air until somebody
        // says.
        Optional<Device> switcher = stored.job().device(new DeviceId(source.switcher()));
        Optional<TallyTold> told = switcher.flatMap(s -> s.profile().tally());
        Optional<InetSocketAddress> at = told.flatMap(t -> at(stored, switcher.orElseThrow(), t));
        Open known = open.get(source);
        if (known != null
                && (at.filter(known.at()::equals).isEmpty()
                        || told.filter(known.how()::equals).isEmpty())) {
            known.ear().close();
            open.remove(source);
        }
        OptionalInt programme =
                at.map(
                                a ->
                                        open.computeIfAbsent(source, s -> connect(s, a, told.get()))
                                                .ear()
                                                .programme())
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

    private Open connect(Source source, InetSocketAddress at, TallyTold told) {
        ProgrammeQuestion question =
                new ProgrammeQuestion(
                        told.line(),
                        AnswerShape.of(told.found().pointer(), told.found().pattern()),
                        told.moreBy().orElse(0));
        Runnable onChange =
                () -> {
                    changed.add(source);
                    watch.execute(() -> Threads.guarded("a tally", this::look));
                };
        return new Open(
                told.byRequest()
                        ? new AskedEar(
                                question,
                                () -> ask(source, told),
                                asking,
                                System::nanoTime,
                                onChange)
                        : listening(source, at, question, onChange),
                at,
                told);
    }

    private String ask(Source source, TallyTold told) {
        Jobs.Stored stored = jobs.load(source.job());
        return fetch.fetch(stored, stored.need(source.switcher()), told.reading().orElseThrow());
    }

    private ProgrammeEar listening(
            Source source, InetSocketAddress at, ProgrammeQuestion question, Runnable onChange) {
        SwitcherLink link =
                new SwitcherLink(
                        TcpStream.open(at, timer),
                        question,
                        timer,
                        System::nanoTime,
                        InstantSource.system(),
                        logs.of(source.job(), source.switcher()),
                        onChange);
        return new ProgrammeEar() {
            @Override
            public OptionalInt programme() {
                return link.programme();
            }

            @Override
            public void close() {
                link.close();
            }
        };
    }

    private Optional<InetSocketAddress> at(Jobs.Stored stored, Device switcher, TallyTold told) {
        if (switcher.address().isEmpty()) {
            return Optional.empty();
        }
        try {
            Answering answering = contacts.answering(stored, switcher, switcher.address().get());
            Protocol protocol = told.byRequest() ? Protocol.WEB : Protocol.SWITCHER;
            return Optional.ofNullable(answering.ports().get(protocol.toString()))
                    .map(port -> new InetSocketAddress(answering.host(), port));
        } catch (Problem silent) {
            LOG.debug("{}: {}", switcher.name(), silent.getMessage());
            return Optional.empty();
        }
    }

    @PreDestroy
    synchronized void close() {
        watch.shutdownNow();
        open.values().forEach(o -> o.ear().close());
        asking.shutdownNow();
        timer.shutdownNow();
    }
}
