package app.jerboa.server.discovery;

import app.jerboa.core.job.discovery.Found;
import app.jerboa.core.job.discovery.Match;
import app.jerboa.core.job.discovery.Matching;
import app.jerboa.core.job.discovery.Sweep;
import app.jerboa.core.net.Ipv4;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.run.MachineRun;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Heard;
import app.jerboa.server.world.World;
import app.jerboa.wire.discovery.ProbeMatch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;

/**
 * One look at the network, from the first address to the last, at a pace that floods nobody. A
 * probe to all goes first; then each address is looked at by itself.
 */
final class Discovery implements MachineRun {
    /** Most of a look is waiting for those who are not there. */
    private static final int AT_ONCE = 24;

    private static final long BETWEEN_NANOS = TimeUnit.SECONDS.toNanos(1) / Sweep.PER_SECOND;

    /** So often somebody may want to see how far it is. */
    private static final int TOLD_EVERY = Sweep.PER_SECOND / 2;

    private final Jobs jobs;
    private final Observations observations;
    private final World world;
    private final Jobs.Stored stored;
    private final Sweep sweep;
    private final Person by;
    private final List<Found> found = new ArrayList<>();
    private volatile boolean cancelled;

    Discovery(
            Jobs jobs,
            Observations observations,
            World world,
            Jobs.Stored stored,
            Sweep sweep,
            Person by) {
        this.jobs = jobs;
        this.observations = observations;
        this.world = world;
        this.stored = stored;
        this.sweep = sweep;
        this.by = by;
    }

    @Override
    public void cancel() {
        cancelled = true;
    }

    @Override
    public End run(Progress progress) {
        ExecutorService lookers = Threads.few("look", AT_ONCE, Sweep.MOST);
        try {
            progress.now(0, Words.say("discovery.probing"));
            Map<Ipv4, ProbeMatch> told = probed(progress);
            int elsewhere = looked(lookers, told, progress);
            keep();
            if (cancelled) {
                return End.CANCELLED;
            }
            return elsewhere == sweep.addresses().size()
                    ? End.stopped(Words.say("discovery.elsewhere"))
                    : End.DONE;
        } finally {
            lookers.shutdownNow();
        }
    }

    /** What answers outside the swept addresses is listed, and not contacted. */
    private Map<Ipv4, ProbeMatch> probed(Progress progress) {
        Map<Ipv4, ProbeMatch> told = new HashMap<>();
        HashSet<Ipv4> swept = new HashSet<>(sweep.addresses());
        for (Heard h : world.askAll(stored)) {
            if (told.putIfAbsent(h.from(), h.match()) == null && !swept.contains(h.from())) {
                found.add(
                        new Found(
                                h.from(),
                                new TreeSet<>(),
                                EnumSet.of(Found.Service.PROBE),
                                Optional.of(Look.self(h.match()))));
            }
        }
        progress.found(found);
        return told;
    }

    /** How many of them cannot be seen from where the laptop is. */
    private int looked(ExecutorService lookers, Map<Ipv4, ProbeMatch> told, Progress progress) {
        Look look = new Look(world, stored);
        List<Future<Look.Seen>> looks = new ArrayList<>();
        long begun = System.nanoTime();
        int taken = 0;
        int elsewhere = 0;
        for (Ipv4 address : sweep.addresses()) {
            if (cancelled) {
                break;
            }
            until(begun + looks.size() * BETWEEN_NANOS);
            looks.add(
                    lookers.submit(() -> look.at(address, Optional.ofNullable(told.get(address)))));
            if (looks.size() % TOLD_EVERY == 0) {
                while (taken < looks.size() && looks.get(taken).isDone()) {
                    elsewhere += take(looks.get(taken++));
                }
                tell(progress, taken);
            }
        }
        while (taken < looks.size()) {
            elsewhere += take(looks.get(taken++));
        }
        tell(progress, taken);
        return elsewhere;
    }

    private int take(Future<Look.Seen> look) {
        try {
            Look.Seen seen = look.get();
            seen.found().ifPresent(found::add);
            return seen.elsewhere() ? 1 : 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            cancelled = true;
            return 0;
        } catch (ExecutionException e) {
            throw new IllegalStateException("a look failed: " + Threads.reason(e), e);
        }
    }

    private void tell(Progress progress, int taken) {
        progress.found(sorted());
        progress.now(
                taken,
                Words.say(
                        "discovery.looking",
                        Map.of(
                                "address",
                                sweep.addresses()
                                        .get(Math.min(taken, sweep.addresses().size() - 1)),
                                "count",
                                found.size())));
    }

    private List<Found> sorted() {
        return found.stream().sorted(Comparator.comparing(Found::address)).toList();
    }

    private void until(long nanos) {
        try {
            TimeUnit.NANOSECONDS.sleep(Math.max(0, nanos - System.nanoTime()));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            cancelled = true;
        }
    }

    /** What is known of devices of the plan by it goes to what was observed. */
    private void keep() {
        Jobs.Stored now = jobs.load(stored.id());
        List<Match> matches = Matching.of(now.job(), sorted());
        observations.add(
                stored.id(),
                Sightings.of(now, matches),
                Words.say(
                        "discovery.done",
                        Map.of("count", found.size(), "asked", sweep.addresses().size())),
                by);
    }
}
