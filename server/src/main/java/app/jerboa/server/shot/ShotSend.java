package app.jerboa.server.shot;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Preset;
import app.jerboa.core.shot.Sending;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.desk.MachineStopped;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.shot.ShotBodies.SentCamera;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.NoAnswer;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;

/**
 * One camera on its way to its next view, under the stop contract of every desk. What it says of
 * itself in the end is laid beside what was read when the view was stored.
 */
final class ShotSend implements Runnable {
    private static final double NEAR_DEGREES = 0.3;
    private static final double HUNDREDTHS = 100;

    /** Beyond the time that its way takes by its profile: a zoom may take longer than the head. */
    private static final long PATIENCE_MILLIS = 8_000;

    private static final long AGAIN_NANOS = TimeUnit.SECONDS.toNanos(3);

    /** How it stands with the camera. */
    enum State {
        WAITS,
        TRAVELS,
        THERE,
        /** It stands, and not where it stood when the view was stored. */
        ELSEWHERE,
        NO_TIME,
        NOT_SENT
    }

    /**
     * @param number of the take that it is for, from 1
     * @param called the view, by its key
     * @param cuts of the run when it was wished
     * @param longest seconds that any way of the camera takes
     */
    record Wish(
            long job,
            Device camera,
            int number,
            Preset to,
            String called,
            int cuts,
            double longest) {}

    private final MachineDesks desks;
    private final Wish wish;
    private final Person by;
    private final String httpSession;
    private volatile State state;
    private volatile String words;
    private volatile boolean cancelled;
    private volatile long since;

    ShotSend(MachineDesks desks, Wish wish, Person by, String httpSession) {
        this.desks = desks;
        this.wish = wish;
        this.by = by;
        this.httpSession = httpSession;
        now(State.WAITS, Words.say("shot.waits", facts(Map.of())));
    }

    long device() {
        return wish.camera().id().value();
    }

    int preset() {
        return wish.to().number();
    }

    boolean isFor(int take, Preset view) {
        return wish.number() == take && preset() == view.number();
    }

    /**
     * With each cut, what did not come off is tried once more; what somebody else held, soon.
     *
     * @param cuts of the run by now
     */
    boolean goesAgain(int cuts) {
        boolean soon = is(State.NOT_SENT) && System.nanoTime() - since > AGAIN_NANOS;
        return !travels() && (soon || cuts != wish.cuts());
    }

    boolean is(State asked) {
        return state == asked;
    }

    boolean travels() {
        return state == State.WAITS || state == State.TRAVELS;
    }

    /** It stops where it is. */
    void cancel() {
        cancelled = true;
    }

    void noTime(Sending due) {
        now(
                State.NO_TIME,
                Words.say(
                        "shot.no-time",
                        facts(
                                Map.of(
                                        "needed", one(due.needed()),
                                        "free", one(Math.max(0, due.free()))))));
    }

    SentCamera body() {
        return new SentCamera(
                device(), wish.camera().name(), wish.number(), Kebab.of(state), words);
    }

    @Override
    public void run() {
        try (MachineDesk desk = desks.take(wish.job(), device(), by, httpSession)) {
            now(State.TRAVELS, Words.say("shot.travels", facts(Map.of())));
            long patience =
                    PATIENCE_MILLIS + TimeUnit.SECONDS.toMillis((long) Math.ceil(wish.longest()));
            if (desk.recall(preset(), patience, () -> !cancelled)) {
                arrived(desk);
            } else {
                notSent(Words.say("shot.called-back"));
            }
        } catch (MachineStopped | Problem | NoAnswer e) {
            notSent(e.getMessage());
        } catch (RuntimeException e) {
            notSent(Words.say("run.broke"));
            throw e;
        }
    }

    private void arrived(MachineDesk desk) {
        if (!desk.link().can().tells()) {
            now(State.THERE, Words.say("shot.told-only", facts(Map.of())));
            return;
        }
        MachineDesk.Place at = desk.place();
        double off =
                Math.max(
                        Math.abs(at.pan() - kept(wish.to().kept().pan())),
                        Math.abs(at.tilt() - kept(wish.to().kept().tilt())));
        if (off <= NEAR_DEGREES) {
            now(State.THERE, Words.say("shot.there", facts(Map.of())));
        } else {
            now(State.ELSEWHERE, Words.say("shot.elsewhere", facts(Map.of("degrees", one(off)))));
        }
    }

    private static double kept(OptionalInt hundredths) {
        return hundredths.orElse(0) / HUNDREDTHS;
    }

    private void notSent(String why) {
        now(State.NOT_SENT, Words.say("shot.not-sent", facts(Map.of("why", why))));
    }

    private void now(State now, String sentence) {
        words = sentence;
        since = System.nanoTime();
        state = now;
    }

    private Map<String, Object> facts(Map<String, String> more) {
        Map<String, Object> facts = new HashMap<>(more);
        facts.put("camera", wish.camera().name());
        facts.put("take", wish.number());
        facts.put("preset", (wish.called() + " " + wish.to().name()).strip());
        return facts;
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
