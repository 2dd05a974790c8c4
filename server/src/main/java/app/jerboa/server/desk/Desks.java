package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.server.live.Notice;
import app.jerboa.server.people.Members;
import app.jerboa.server.people.Person;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Threads;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.Stopping.Outcome;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
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
    private static final Logger LOG = LoggerFactory.getLogger(Desks.class);

    private final Map<String, Desk> open = new ConcurrentHashMap<>();
    private final ExecutorService work = Threads.many("desk-work", 64);
    private final CameraTaking taking;
    private final DeskMapper mapper;
    private final StopTelling telling;
    private final TakeOver takeOver;
    private final Gates gates;
    private final Members members;

    Desks(
            CameraTaking taking,
            DeskMapper mapper,
            StopTelling telling,
            TakeOver takeOver,
            Gates gates,
            Members members) {
        this.taking = taking;
        this.mapper = mapper;
        this.telling = telling;
        this.takeOver = takeOver;
        this.gates = gates;
        this.members = members;
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
        later(desk, () -> taking.take(desk, device, take));
    }

    /** One after the other for each desk, on a thread where waiting hurts nobody. */
    private void later(Desk desk, Runnable task) {
        desk.tasks.then(
                work,
                () -> said(desk, task),
                () -> desk.screen.tell(new DeskMessages.Refused(0, Words.say("refused.busy"))));
    }

    private void said(Desk desk, Runnable task) {
        try {
            task.run();
        } catch (Problem e) {
            desk.screen.tell(new DeskMessages.Refused(0, e.getMessage()));
        } catch (RuntimeException e) {
            LOG.info("a desk's wish failed: {}", Threads.reason(e));
            desk.screen.tell(new DeskMessages.Refused(0, Words.say("refused.take-database")));
        }
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
                                        device, Words.say("take-over.other-asks")));
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
                    DeskMessages.Refused.heldBySomebody(device, Words.say("take-over.kept")));
        }
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

    /** Each second: what was said somewhere else is heard here at the latest. */
    void gateAll() {
        List<CameraId> driven =
                open.values().stream()
                        .flatMap(d -> d.driving.camera().stream())
                        .map(CameraLink::id)
                        .distinct()
                        .toList();
        Map<CameraId, Gate> said = gates.all(driven);
        open.values()
                .forEach(
                        d ->
                                d.driving
                                        .camera()
                                        .map(CameraLink::id)
                                        .filter(said::containsKey)
                                        .ifPresent(c -> d.driving.gate(c, d.gate(said.get(c)))));
    }

    /** What was said of a camera may have changed. */
    private void gate(Desk desk) {
        desk.driving
                .camera()
                .ifPresent(c -> desk.driving.gate(c.id(), desk.gate(gates.of(c.id()))));
    }

    /** A camera is no longer driven here. */
    void letGo(CameraLink camera, CompletableFuture<Outcome> stopping) {
        taking.letGo(camera, stopping);
    }

    /**
     * Whoever may drive may stop: first what this server drives, at once; the rest is told after.
     */
    void stopAll(Desk desk) {
        if (!desk.mayDrive()) {
            desk.screen.tell(
                    new DeskMessages.Trouble(Optional.empty(), Words.say("refused.stop-viewer")));
            return;
        }
        stopAll(desk.job());
    }

    /** Whoever drives this camera here must centre the stick before it moves again. */
    void stop(CameraId camera, String why) {
        open.values().stream()
                .map(d -> d.driving)
                .filter(d -> d.camera().filter(c -> c.id().equals(camera)).isPresent())
                .forEach(d -> d.stopFromElsewhere(why));
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
                    .forEach(d -> d.driving.giveBack(CameraTaking.ELSEWHERE));
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
