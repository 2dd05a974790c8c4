package app.jerboa.server.desk;

import app.jerboa.core.motion.Feel;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.live.Live;
import app.jerboa.server.live.Notice;
import app.jerboa.server.people.Members;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.platform.Settings;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.WorldChoice;
import app.jerboa.server.world.Worlds;
import app.jerboa.wire.link.WireLog;
import app.jerboa.wire.link.session.Stopping.Outcome;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * A camera comes to a desk and leaves it: its lease, its link, and its last stop. What it does
 * waits for the database and the device, so it is called where waiting hurts nobody.
 */
@Component
class CameraTaking {
    static final int LEASE_SECONDS = 5;

    static final String ELSEWHERE = Words.say("given-back.elsewhere");

    /** A stop not seen done after this is left to the sweep; the link is given up. */
    private static final int LET_GO_SECONDS = 3;

    /** A camera that is just being let go is free in a moment. */
    private static final int TRIES_TO_TAKE = 10;

    private static final int BETWEEN_TRIES_MILLIS = 100;

    private final CameraLinks links;
    private final DeskMapper mapper;
    private final Marks marks;
    private final StopTelling telling;
    private final Live live;
    private final Gates gates;
    private final Feels feels;
    private final Jobs jobs;
    private final Members members;
    private final Worlds worlds;
    private final String server;

    CameraTaking(
            CameraLinks links,
            DeskMapper mapper,
            Marks marks,
            StopTelling telling,
            Live live,
            Gates gates,
            Feels feels,
            Jobs jobs,
            Members members,
            Worlds worlds,
            Settings settings) {
        this.links = links;
        this.mapper = mapper;
        this.marks = marks;
        this.telling = telling;
        this.live = live;
        this.gates = gates;
        this.feels = feels;
        this.jobs = jobs;
        this.members = members;
        this.worlds = worlds;
        this.server = settings.serverName();
    }

    /**
     * @param take the number of the wish; an older one does nothing
     * @throws Problem for a job or a camera that is not there, or that this person may not drive
     */
    void take(Desk desk, long device, int take) {
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
                                                Words.say(
                                                        "refused.driven-at-another-desk",
                                                        Map.of("person", name))))
                        .orElseGet(
                                () ->
                                        new DeskMessages.Refused(
                                                id.device(), Words.say("refused.stopped-first")));
        desk.screen.tell(refused);
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
        camera.link().onChainChanged(new ChainNotice(desk.screen, id.device(), System::nanoTime));
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

    /** A second less than the database counts: here it must end first. */
    static long leaseNanos() {
        return TimeUnit.SECONDS.toNanos(LEASE_SECONDS - 1);
    }

    private static void show(Desk desk, WireLog.Entry entry) {
        if (!entry.polling()) {
            desk.screen.note(entry);
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
}
