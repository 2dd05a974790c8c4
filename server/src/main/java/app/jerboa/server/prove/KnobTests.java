package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.knob.Choice;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.knob.OnlyWhen;
import app.jerboa.core.prove.Moved;
import app.jerboa.core.prove.Standstill;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import app.jerboa.server.people.Person;
import app.jerboa.server.words.Words;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Turns a knob one step, reads it back, and puts it back, and the automatics it needed off too. */
@Component
class KnobTests {
    /** Of the focus' range. */
    private static final double FOCUS_SHARE = 0.05;

    private static final int MOST_LOOKS = 20;

    /** The knob that tells of each test. */
    private static final Map<Topic, String> KNOBS =
            Map.of(
                    Topic.FOCUS, "focus",
                    Topic.IRIS, "iris",
                    Topic.WHITE_BALANCE, "red gain");

    private final KnobHands hands;
    private final PutBacks putBacks;

    KnobTests(KnobHands hands, PutBacks putBacks) {
        this.hands = hands;
        this.putBacks = putBacks;
    }

    /** What was turned, to be turned back. */
    private record Turned(Knob knob, int before) {}

    Verdict test(Jobs.Stored stored, Device device, Topic topic, Person by) {
        Optional<Knob> knob = device.profile().knob(KNOBS.get(topic)).filter(Knob::readable);
        if (knob.isEmpty()) {
            return Verdict.cannotTell(Words.say("prove.no-knob", Map.of("knob", KNOBS.get(topic))));
        }
        Deque<Turned> turned = new ArrayDeque<>();
        try {
            Verdict verdict = step(stored, device, knob.get(), topic, by, turned);
            return back(stored, device, turned, by).orElse(verdict);
        } catch (KnobHands.NotTurned e) {
            back(stored, device, turned, by);
            return e.code().equals("silent") || e.code().equals("refused")
                    ? Verdict.failed("", e.getMessage())
                    : Verdict.cannotTell(e.getMessage());
        }
    }

    private Verdict step(
            Jobs.Stored stored,
            Device device,
            Knob knob,
            Topic topic,
            Person by,
            Deque<Turned> turned) {
        for (OnlyWhen only : knob.only()) {
            Optional<Knob> mode = device.profile().knob(only.knob());
            mode.ifPresent(m -> allow(stored, device, m, only, by, turned));
        }
        int before = hands.ask(stored, device, knob);
        int most =
                topic == Topic.FOCUS
                        ? (int) Math.round(FOCUS_SHARE * (knob.most() - knob.least()))
                        : 1;
        int size = Math.max(1, most);
        int asked = before + size <= knob.most() ? size : -size;
        turn(stored, device, new Turned(knob, before), before + asked, by, turned);
        int after = settled(stored, device, knob);
        Moved moved = Moved.between(before, after, asked);
        boolean well = topic == Topic.FOCUS ? moved.well() : after == before + asked;
        String value =
                String.format(Locale.ROOT, "%+d of %+d (%s)", moved.changed(), asked, knob.name());
        String detail = Words.say("prove.did.knob", Map.of("knob", knob.name()));
        if (well) {
            return Verdict.ok(value, detail);
        }
        return moved.backwards() ? Verdict.differs(value, detail) : Verdict.failed(value, detail);
    }

    /** A lens goes there at its own pace: read until two readings agree. */
    private int settled(Jobs.Stored stored, Device device, Knob knob) {
        int before = hands.ask(stored, device, knob);
        for (int i = 0; i < MOST_LOOKS; i++) {
            pause();
            int now = hands.ask(stored, device, knob);
            if (Standstill.agree(before, now)) {
                return now;
            }
            before = now;
        }
        return before;
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(Standstill.BETWEEN_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Another knob must stand so that this one acts. */
    private void allow(
            Jobs.Stored stored,
            Device device,
            Knob mode,
            OnlyWhen only,
            Person by,
            Deque<Turned> turned) {
        int now = hands.ask(stored, device, mode);
        if (only.in().contains(mode.valueWords(now))) {
            return;
        }
        int wanted =
                mode.choices().stream()
                        .filter(c -> only.in().contains(c.name()))
                        .mapToInt(Choice::value)
                        .findFirst()
                        .orElse(now);
        turn(stored, device, new Turned(mode, now), wanted, by, turned);
    }

    /** Noted before it is changed, so that a killed server can put it back. */
    private void turn(
            Jobs.Stored stored,
            Device device,
            Turned before,
            int value,
            Person by,
            Deque<Turned> turned) {
        putBacks.note(
                stored.id(), device, before.knob().name(), Integer.toString(before.before()), by);
        turned.push(before);
        hands.turn(stored, device, before.knob(), value, by);
    }

    /** What could not be put back says so, and stays noted. */
    private Optional<Verdict> back(
            Jobs.Stored stored, Device device, Deque<Turned> turned, Person by) {
        Optional<Verdict> trouble = Optional.empty();
        while (!turned.isEmpty()) {
            Turned t = turned.pop();
            try {
                hands.turn(stored, device, t.knob(), t.before(), by);
                putBacks.done(stored.id(), device, t.knob().name());
            } catch (KnobHands.NotTurned e) {
                trouble =
                        Optional.of(
                                Verdict.failed(
                                        "",
                                        Words.say(
                                                "prove.not-put-back",
                                                Map.of(
                                                        "knob", t.knob().name(),
                                                        "value", t.knob().valueWords(t.before()),
                                                        "why", e.getMessage()))));
            }
        }
        return trouble;
    }
}
