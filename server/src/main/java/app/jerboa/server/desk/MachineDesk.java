package app.jerboa.server.desk;

import app.jerboa.core.motion.Push;
import app.jerboa.core.profile.Head;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.people.Role;
import app.jerboa.server.platform.OpenLines;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.HeadLink;
import app.jerboa.wire.visca.PanTilt;
import app.jerboa.wire.visca.ZoomPosition;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/**
 * A desk with a program at its stick instead of a person. The stop contract of every desk holds for
 * it: what moves is stored before, the stick must be held every 50 ms or the head stops, STOP ALL
 * and a lost lease end it, a killed server stops the head first when it is back. Once stopped from
 * elsewhere it drives nothing any more; after a silence of its own, on a machine that stood still
 * for a moment, it lets go and takes the stick again.
 */
public final class MachineDesk implements AutoCloseable {
    /** Half of what the stop contract asks for. */
    private static final int HOLD_MILLIS = 25;

    /** More silences in one hold are no chance any more. */
    private static final int MOST_LAPSES = 5;

    private static final int ANSWER_SECONDS = 2;
    private static final int TAKE_SECONDS = 10;
    private static final double FINEST = 0.005;

    private final Desks desks;
    private final OpenLines lines;
    private final CompletableFuture<Optional<String>> taken = new CompletableFuture<>();
    private final Desk desk;
    private volatile String stopped = "";

    /** The stick went silent in this hand, and must be let go first. */
    private final AtomicBoolean lapsed = new AtomicBoolean();

    /**
     * @param make gets where its messages go
     */
    MachineDesk(Desks desks, OpenLines lines, Function<MachineDesk, Desk> make) {
        this.desks = desks;
        this.lines = lines;
        this.desk = make.apply(this);
        desk.driving.endWhenStopped();
        desks.add(desk);
        if (!desk.httpSession().isEmpty()) {
            lines.add(desk);
        }
    }

    void open(long job, Role role, long stops) {
        desk.open(job, role, stops);
    }

    /** What a page would show. */
    void hear(Object message) {
        if (message instanceof DeskMessages.Taken) {
            taken.complete(Optional.empty());
        } else if (message instanceof DeskMessages.Refused refused) {
            taken.complete(Optional.of(refused.reason()));
        } else if (message instanceof DeskMessages.Released released) {
            stopped = released.reason();
        } else if (message instanceof DeskMessages.Stopped stop) {
            stopped(stop.why());
        } else if (message instanceof DeskMessages.Trouble trouble) {
            stopped = trouble.reason();
        } else if (message instanceof DeskMessages.Needs needs) {
            stopped = needs(needs.what());
        }
    }

    private void stopped(String why) {
        if (why.equals(Driving.SILENT)) {
            lapsed.set(true);
        } else if (!why.equals("released")) {
            stopped = why;
        }
    }

    private static String needs(String what) {
        return Words.say("desk.needs." + what);
    }

    /**
     * @throws MachineStopped in words when it cannot be taken, or may not be moved
     */
    void take(long device) {
        desks.take(desk, device);
        try {
            taken.get(TAKE_SECONDS, TimeUnit.SECONDS)
                    .ifPresent(
                            why -> {
                                throw new MachineStopped(why);
                            });
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new MachineStopped(Words.say("stick-lost.stopping"));
        } catch (ExecutionException | TimeoutException e) {
            throw new MachineStopped(
                    Words.say("stick-lost.not-taken", Map.of("seconds", TAKE_SECONDS)));
        }
        desk.driving
                .keeps()
                .ifPresent(
                        k -> {
                            throw new MachineStopped(needs(Kebab.of(k)));
                        });
        if (link().can().tells()) {
            awaitPointing();
        }
    }

    /** It is asked ten times a second; a head between limits does not move before it said so. */
    private void awaitPointing() {
        long ends = System.nanoTime() + TimeUnit.SECONDS.toNanos(ANSWER_SECONDS);
        while (System.nanoTime() < ends && !desk.driving.saidWhereItPoints()) {
            sign();
            pause(HOLD_MILLIS);
        }
    }

    private CameraLink camera() {
        return desk.driving
                .camera()
                .orElseThrow(
                        () ->
                                new MachineStopped(
                                        stopped.isEmpty()
                                                ? Words.say("stick-lost.given-back")
                                                : stopped));
    }

    public HeadLink link() {
        return camera().link();
    }

    public Head head() {
        return camera().head();
    }

    /**
     * Holds the stick until something is so or the time is over, then lets it go.
     *
     * @param pan speed steps, left below 0
     * @param tilt steps, down below 0
     * @param zoom steps, wide below 0
     * @param until asked every 25 ms; must answer at once
     * @throws MachineStopped when somebody or something else stopped it
     */
    public void hold(int pan, int tilt, int zoom, long millis, BooleanSupplier until) {
        HeadLink.Abilities can = link().can();
        double p = deflection(pan, can.panSteps());
        double t = deflection(tilt, can.tiltSteps());
        double z = deflection(zoom, can.zoomSteps());
        long ends = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
        lapsed.set(false);
        int lapses = 0;
        try {
            while (System.nanoTime() < ends && !until.getAsBoolean()) {
                insist();
                desk.driving.sign();
                boolean again = lapsed.getAndSet(false);
                if (again && ++lapses > MOST_LAPSES) {
                    throw new MachineStopped(Driving.SILENT);
                }
                desk.driving.stick(again ? Push.CENTRE : new Push(p, t, z, 0, 0, 0), 1);
                pause(HOLD_MILLIS);
            }
        } finally {
            desk.driving.sign();
            desk.driving.stick(Push.CENTRE, 1);
        }
        insist();
    }

    /** Waits with the stick in the middle. */
    public void rest(long millis) {
        long ends = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
        while (System.nanoTime() < ends) {
            insist();
            desk.driving.sign();
            pause(Math.min(HOLD_MILLIS, millis));
        }
    }

    /**
     * Goes to a stored view, and waits until it is there.
     *
     * @param preset as the camera calls it
     * @param longest milliseconds until it is left: one that never says where it points is taken to
     *     be there then
     * @param goOn asked every 25 ms; false stops it
     * @return false when it was stopped for that
     * @throws MachineStopped when somebody or something else stopped it
     */
    public boolean recall(int preset, long longest, BooleanSupplier goOn) {
        insist();
        desk.driving.recall(preset);
        long ends = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(longest);
        while (System.nanoTime() < ends && desk.driving.isMoving()) {
            if (!goOn.getAsBoolean()) {
                desk.driving.stopFromElsewhere("its list");
                return false;
            }
            sign();
            pause(HOLD_MILLIS);
        }
        insist();
        return true;
    }

    /**
     * Where it points, in degrees from its middle, right and up positive.
     *
     * @param zoom 0 to 16384
     */
    public record Place(double pan, double tilt, int zoom) {}

    /**
     * @throws app.jerboa.wire.link.session.NoAnswer when it does not say within two seconds
     */
    public Place place() {
        sign();
        PanTilt at = Answers.await(link().askPanTilt(false), ANSWER_SECONDS);
        ZoomPosition zoom = Answers.await(link().askZoom(false), ANSWER_SECONDS);
        double counts = link().can().countsPerDegree().orElse(head().countsPerDegree());
        return new Place(at.pan() / counts, at.tilt() / counts, zoom.counts());
    }

    /** A sign of life; whoever waits for long must give one within three seconds. */
    public void sign() {
        insist();
        desk.driving.sign();
    }

    private void insist() {
        desk.driving
                .ended()
                .ifPresent(
                        why -> {
                            throw new MachineStopped(why);
                        });
        if (!stopped.isEmpty()) {
            throw new MachineStopped(stopped);
        }
        camera();
    }

    /** How far the stick is pushed for a step, by the law that the house drives with. */
    private double deflection(int step, int steps) {
        if (step == 0) {
            return 0;
        }
        int wanted = Math.min(Math.abs(step), steps);
        double x = FINEST;
        while (x < 1 && camera().law().step(x, steps) < wanted) {
            x += FINEST;
        }
        return Math.copySign(Math.min(1, x), step);
    }

    private static void pause(long millis) {
        try {
            TimeUnit.MILLISECONDS.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new MachineStopped(Words.say("stick-lost.stopping"));
        }
    }

    /** What moves is stopped; the camera is free when it stands. */
    @Override
    public void close() {
        desks.closed(desk);
        lines.remove(desk);
    }
}
