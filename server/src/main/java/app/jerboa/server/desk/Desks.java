package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.people.Members;
import app.jerboa.server.people.Person;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Stopping.Outcome;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The open desks of this server. What stops is done at once, from memory; what needs the database
 * or the rig (opening a job, taking a camera, telling others) is done after, on threads of its own.
 */
@Component
class Desks {
    static final int LEASE_SECONDS = 5;

    private static final Logger LOG = LoggerFactory.getLogger(Desks.class);

    /** A stop not seen done after this is left to the sweep; the link is given up. */
    private static final int LET_GO_SECONDS = 3;

    /** A camera that is just being let go is free in a moment. */
    private static final int TRIES_TO_TAKE = 10;

    private static final int BETWEEN_TRIES_MILLIS = 100;

    private static final String ELSEWHERE =
            "The commands of this job go somewhere else now, so it was stopped and given back.";

    private final Map<String, Desk> open = new ConcurrentHashMap<>();
    private final ExecutorService work = Threads.many("desk-work", 64);
    private final CameraLinks links;
    private final DeskMapper mapper;
    private final Marks marks;
    private final StopTelling telling;
    private final Live live;
    private final TakeOver takeOver;
    private final Gates gates;
    private final Feels feels;
    private final Jobs jobs;
    private final Members members;
    private final Worlds worlds;
    private final String server;

    Desks(
            CameraLinks links,
            DeskMapper mapper,
            Marks marks,
            StopTelling telling,
            Live live,
            TakeOver takeOver,
            Gates gates,
            Feels feels,
            Jobs jobs,
            Members members,
            Worlds worlds,
            Settings settings) {
        this.worlds = worlds;
        this.links = links;
        this.mapper = mapper;
        this.marks = marks;
        this.telling = telling;
        this.live = live;
        this.takeOver = takeOver;
        this.gates = gates;
        this.feels = feels;
        this.jobs = jobs;
        this.members = members;
        this.server = settings.serverName();
    }

    Collection<Desk> all() {
        return open.values();
    }

    void add(Desk desk) {
        open.put(desk.id, desk);
    }

    void closed(Desk desk) {
        open.remove(desk.id);
        desk.driving.close();
        withdraw(desk);
    }

    /** The desk shows this job; answered on the screen when it may not. */
    void open(Desk desk, long job) {
        later(
                desk,
                () -> {
                    Role role =
                            members.role(job, desk.person)
                                    .orElseThrow(() -> Problem.notFound("job"));
                    desk.open(job, role, mapper.stops(job));
                });
    }

    void take(Desk desk, long device) {
        int take = desk.takes.incrementAndGet();
        withdraw(desk);
        desk.driving.letGo();
        later(desk, () -> takeNow(desk, device, take));
    }

    /** One after the other for each desk, on a thread where waiting hurts nobody. */
    private void later(Desk desk, Runnable task) {
        desk.tasks.then(
                work,
                () -> said(desk, task),
                () ->
                        desk.screen.tell(
                                new DeskMessages.Refused(
                                        0,
                                        "This server has too much to do just now. Try again in a moment.")));
    }

    private void said(Desk desk, Runnable task) {
        try {
            task.run();
        } catch (Problem e) {
            desk.screen.tell(new DeskMessages.Refused(0, e.getMessage()));
        } catch (RuntimeException e) {
            LOG.info("a desk's wish failed: {}", Threads.reason(e));
            desk.screen.tell(
                    new DeskMessages.Refused(
                            0, "The database does not answer, so no camera was taken. Try again."));
        }
    }

    private void takeNow(Desk desk, long device, int take) {
        desk.driving.letGo();
        if (take != desk.takes.get()) {
            return;
        }
        Jobs.Stored stored = jobs.load(desk.job());
        stored.need(device);
        members.insist(desk.job(), desk.person, Right.DRIVE);
        CameraId id = new CameraId(desk.job(), device);
        String holder = desk.holder(take);
        long before = System.nanoTime();
        if (!leased(id, desk, holder)) {
            refuse(desk, id);
            return;
        }
        WorldChoice world = worlds.choice(desk.job());
        if (!connected(desk, stored, id, take, before)) {
            mapper.releaseLease(id, holder);
        } else if (worlds.choice(desk.job()) != world) {
            // Chosen anew while it was taken: whoever told of it found nothing here to give back.
            desk.driving.giveBack(ELSEWHERE);
        }
    }

    private boolean leased(CameraId id, Desk desk, String holder) {
        String name = desk.person.displayName();
        for (int i = 0; i < TRIES_TO_TAKE; i++) {
            if (mapper.takeLease(id, server, holder, name, LEASE_SECONDS) == 1) {
                return true;
            }
            pause();
        }
        return false;
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(BETWEEN_TRIES_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void refuse(Desk desk, CameraId id) {
        DeskMessages.Refused refused =
                mapper.leaseHolder(id)
                        .filter(name -> !name.equals(Sweep.NAME))
                        .map(
                                name ->
                                        DeskMessages.Refused.heldBySomebody(
                                                id.device(),
                                                name
                                                        + " is driving it at another desk. Ask for it, or wait until they let go."))
                        .orElseGet(
                                () ->
                                        new DeskMessages.Refused(
                                                id.device(),
                                                "It is being stopped first, since it was left moving. Take it again in a moment."));
        desk.screen.tell(refused);
    }

    /** Asks whoever drives a camera for it; free already, it is taken. */
    void ask(Desk desk, long device) {
        later(
                desk,
                () -> {
                    members.insist(desk.job(), desk.person, Right.DRIVE);
                    boolean leads =
                            members.role(desk.job(), desk.person)
                                    .filter(Role.LEAD::equals)
                                    .isPresent();
                    CameraId id = new CameraId(desk.job(), device);
                    if (takeOver.ask(id, desk, leads)) {
                        desk.wished.set(device);
                        desk.screen.tell(new DeskMessages.Waiting(device));
                    } else if (takeOver.stands(id, desk) == TakeOver.Stands.FREE) {
                        take(desk, device);
                    } else {
                        desk.screen.tell(
                                new DeskMessages.Refused(
                                        device, "Somebody else asks for it just now."));
                    }
                });
    }

    void keep(Desk desk) {
        desk.driving.camera().ifPresent(c -> later(desk, () -> takeOver.keep(c)));
    }

    /** What it asked for is not wanted any more: its driver keeps it. */
    private void withdraw(Desk desk) {
        if (desk.wished.getAndSet(0) != 0) {
            telling.later(() -> mapper.withdraw(desk.id));
        }
    }

    /** Each second: what was asked for may be free by now, or its driver keeps it. */
    void lookAtWish(Desk desk) {
        long device = desk.wished.get();
        if (device != 0) {
            later(desk, () -> lookAtWish(desk, device));
        }
    }

    private void lookAtWish(Desk desk, long device) {
        if (desk.wished.get() != device) {
            return;
        }
        TakeOver.Stands stands = takeOver.stands(new CameraId(desk.job(), device), desk);
        if (stands == TakeOver.Stands.FREE) {
            take(desk, device);
        } else if (stands == TakeOver.Stands.KEPT) {
            desk.wished.set(0);
            desk.screen.tell(
                    DeskMessages.Refused.heldBySomebody(device, "It is kept where it is."));
        }
    }

    private boolean connected(Desk desk, Jobs.Stored stored, CameraId id, int take, long before) {
        CameraLink camera;
        try {
            camera = links.connect(stored, id.device(), desk.holder(take));
        } catch (Problem e) {
            desk.screen.tell(new DeskMessages.Refused(id.device(), e.getMessage()));
            return false;
        }
        links.follow(camera, entry -> show(desk, entry));
        Taking terms = terms(desk, camera, before + leaseNanos());
        if (take == desk.takes.get() && desk.driving.take(camera, terms)) {
            live.changed(desk.job(), Notice.DRIVERS);
            return true;
        }
        links.close(camera);
        return false;
    }

    private Taking terms(Desk desk, CameraLink camera, long leaseEnds) {
        Feel feel =
                desk.machine
                        ? Feel.plain(camera.law())
                        : feels.of(desk.person, camera.profile(), camera.law());
        return new Taking(leaseEnds, desk.gate(gates.of(camera.id())), feel);
    }

    /** This person likes this kind of camera so from now on. */
    void feels(Person person, String profile, Feel feel) {
        open.values().stream()
                .filter(d -> !d.machine && d.account() == person.id())
                .forEach(d -> d.driving.feel(profile, feel));
    }

    /** Before whoever said it hears that it is stored: the next push finds it. */
    void regate(long job) {
        open.values().stream().filter(d -> d.job() == job).forEach(this::gate);
    }

    /** What was said of a camera may have changed. */
    private void gate(Desk desk) {
        desk.driving
                .camera()
                .ifPresent(c -> desk.driving.gate(c.id(), desk.gate(gates.of(c.id()))));
    }

    /** A second less than the database counts: here it must end first. */
    static long leaseNanos() {
        return TimeUnit.SECONDS.toNanos(LEASE_SECONDS - 1);
    }

    private static void show(Desk desk, WireLog.Entry entry) {
        if (!entry.polling()) {
            desk.screen.show(
                    new DeskMessages.Frame(
                            entry.at().toString(),
                            entry.direction() == WireLog.Direction.SENT,
                            entry.octets().toString(),
                            entry.meaning()));
        }
    }

    /** A camera is no longer driven here: when it stands it is free, else the sweep goes on. */
    void letGo(CameraLink camera, CompletableFuture<Outcome> stopping) {
        stopping.copy()
                .orTimeout(LET_GO_SECONDS, TimeUnit.SECONDS)
                .whenComplete(
                        (outcome, failure) -> {
                            if (outcome != null && outcome.done()) {
                                marks.unmark(camera.id());
                            } else {
                                marks.leave(camera.id());
                            }
                            links.close(camera);
                            telling.later(() -> released(camera));
                        });
    }

    private void released(CameraLink camera) {
        mapper.releaseLease(camera.id(), camera.holder());
        live.changed(camera.id().job(), Notice.DRIVERS);
    }

    /**
     * Whoever may drive may stop: first what this server drives, at once; the rest is told after.
     */
    void stopAll(Desk desk) {
        if (!desk.mayDrive()) {
            desk.screen.tell(
                    new DeskMessages.Trouble(
                            Optional.empty(),
                            "Your role in this job is to look on, so nothing was stopped. Call whoever drives."));
            return;
        }
        stopAll(desk.job());
    }

    void stopAll(long job) {
        stopHere(job);
        telling.stopAll(job);
    }

    private void stopHere(long job) {
        open.values().stream()
                .filter(d -> d.job() == job)
                .forEach(d -> d.driving.stopFromElsewhere("STOP ALL"));
    }

    /** Somebody stopped all at some server; here it may have happened already. */
    @EventListener
    void told(Notice notice) {
        if (notice.kind().equals(Notice.STOP_ALL)) {
            obey(notice.job(), notice.version());
        } else if (notice.part().equals(Notice.DESK)) {
            open.values().stream()
                    .filter(d -> d.job() == notice.job())
                    .forEach(d -> later(d, () -> gate(d)));
        } else if (notice.part().equals(Notice.WORLD)) {
            open.values().stream()
                    .filter(d -> d.job() == notice.job())
                    .forEach(d -> d.driving.giveBack(ELSEWHERE));
        }
    }

    /** Stops what this server drives in the job, when that STOP ALL was not obeyed yet. */
    void obey(long job, long stops) {
        List<Desk> missed =
                open.values().stream().filter(d -> d.job() == job && d.mustObey(stops)).toList();
        if (!missed.isEmpty() && !telling.beganHere(job, stops)) {
            missed.forEach(d -> d.driving.stopFromElsewhere("STOP ALL"));
        }
    }
}
