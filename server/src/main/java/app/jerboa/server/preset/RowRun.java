package app.jerboa.server.preset;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.Preset;
import app.jerboa.core.job.control.PresetNumbering;
import app.jerboa.core.knob.Knob;
import app.jerboa.core.preset.PresetKnobs;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.desk.MachineStopped;
import app.jerboa.server.head.HeadGoing;
import app.jerboa.server.head.HeadReading.Axis;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.knobs.KnobHands;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.preset.RowBodies.RowResult;
import app.jerboa.server.preset.RowBodies.RowSoFar;
import app.jerboa.server.prove.PutBacks;
import app.jerboa.server.run.MachineRun;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.Answers;
import app.jerboa.wire.link.session.NoAnswer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Goes to every view of a camera that was read once: either as the camera keeps it, to compare it
 * with what was read, or as it was read, to have the camera keep it. Head and knobs are put back in
 * the end; what could not be put back is left for Prove to put back.
 */
final class RowRun implements MachineRun {
    private static final Logger LOG = LoggerFactory.getLogger(RowRun.class);

    static final String WRITE = "write";
    static final String CHECK = "check";
    private static final int ANSWER_SECONDS = 3;
    private static final int LONGEST_WAY_MILLIS = 30_000;
    private static final double HUNDREDTHS = 100;

    /** Further off than this it is not the same view. */
    private static final double NEAR_DEGREES = 0.3;

    private static final double NEAR_ZOOM = 16_384 / 100.0;

    @Component
    record Tools(
            MachineDesks desks,
            KnobHands hands,
            KnobReading reading,
            PresetStills stills,
            PutBacks putBacks) {}

    private final Tools tools;
    private final Jobs.Stored stored;
    private final Device camera;
    private final List<Preset> presets;
    private final String what;
    private final Person by;
    private final String httpSession;
    private final Consumer<List<Preset>> written;
    private final long stops;
    private final List<RowResult> results = new ArrayList<>();
    private final List<Preset> done = new ArrayList<>();

    /** What was turned, as it stood before. */
    private final Map<Knob, Integer> turned = new LinkedHashMap<>();

    private volatile boolean cancelled;

    /**
     * @param presets that were read once, by number
     * @param written gets those that the camera keeps now
     */
    RowRun(
            Tools tools,
            Jobs.Stored stored,
            Device camera,
            List<Preset> presets,
            String what,
            Person by,
            String httpSession,
            Consumer<List<Preset>> written) {
        this.tools = tools;
        this.stored = stored;
        this.camera = camera;
        this.presets = presets;
        this.what = what;
        this.by = by;
        this.httpSession = httpSession;
        this.written = written;
        this.stops = tools.desks().stops(stored.id());
    }

    @Override
    public void cancel() {
        cancelled = true;
    }

    @Override
    public End run(Progress progress) {
        long device = camera.id().value();
        try (MachineDesk desk = tools.desks().take(stored.id(), device, by, httpSession)) {
            if (!desk.link().can().tells()) {
                return End.stopped(Words.say("row.tells-nothing", Map.of("camera", camera.name())));
            }
            HeadGoing going = new HeadGoing(desk);
            String place = going.place();
            tools.putBacks().note(stored.id(), camera, PutBacks.HEAD, place, by);
            End end = each(desk, going, progress);
            tools.desks().insistNotStopped(stored.id(), stops);
            putBack(going, place);
            return end;
        } catch (MachineStopped | NoAnswer | Problem e) {
            return End.stopped(e.getMessage());
        } finally {
            if (!done.isEmpty()) {
                written.accept(done);
            }
        }
    }

    private End each(MachineDesk desk, HeadGoing going, Progress progress) {
        for (int i = 0; i < presets.size(); i++) {
            if (cancelled) {
                return End.CANCELLED;
            }
            tools.desks().insistNotStopped(stored.id(), stops);
            Preset p = presets.get(i);
            progress.now(i, Words.say("row.doing." + what, facts(p, Map.of())));
            Optional<RowResult> result =
                    what.equals(WRITE) ? write(desk, going, p) : check(desk, p);
            if (result.isEmpty()) {
                return End.CANCELLED;
            }
            results.add(result.get());
            progress.found(new RowSoFar(camera.id().value(), what, List.copyOf(results)));
        }
        return End.DONE;
    }

    private Optional<RowResult> write(MachineDesk desk, HeadGoing going, Preset p) {
        double counts = going.countsPerDegree();
        going.to(Axis.PAN, counts(p.kept().pan().orElseThrow(), counts));
        going.to(Axis.TILT, counts(p.kept().tilt().orElseThrow(), counts));
        if (p.kept().zoom().isPresent()) {
            going.to(Axis.ZOOM, p.kept().zoom().getAsInt());
        }
        List<String> not = turn(desk, PresetKnobs.read(p.kept().knobs()));
        try {
            Answers.await(desk.link().store(p.number()), ANSWER_SECONDS);
        } catch (NoAnswer e) {
            return said(p, "failed", "row.refused", Map.of("why", e.getMessage()));
        }
        done.add(p);
        desk.sign();
        tools.stills().take(stored, camera, p.number());
        Map<String, String> off = Map.of("degrees", one(off(desk.place(), p)));
        return not.isEmpty()
                ? said(p, "written", "row.written", off)
                : said(p, "differs", "row.written-but", Map.of("not", String.join("; ", not)));
    }

    private static int counts(int hundredths, double countsPerDegree) {
        return (int) Math.round(hundredths / HUNDREDTHS * countsPerDegree);
    }

    /** Those first on which others depend; what could not be turned, in words. */
    private List<String> turn(MachineDesk desk, Map<String, Integer> kept) {
        List<String> not = new ArrayList<>();
        List<Knob> knobs =
                camera.profile().knobs().stream()
                        .filter(k -> kept.containsKey(k.name()))
                        .sorted(Comparator.comparing(k -> !k.only().isEmpty()))
                        .toList();
        for (Knob knob : knobs) {
            desk.sign();
            try {
                int now = tools.hands().ask(stored, camera, knob);
                int to = kept.get(knob.name());
                if (now != to) {
                    note(knob, now);
                    tools.hands().turn(stored, camera, knob, to, by);
                }
            } catch (KnobHands.NotTurned e) {
                not.add(e.getMessage());
            }
        }
        return not;
    }

    private void note(Knob knob, int before) {
        if (turned.putIfAbsent(knob, before) == null) {
            tools.putBacks().note(stored.id(), camera, knob.name(), Integer.toString(before), by);
        }
    }

    /** Empty when it was called back. */
    private Optional<RowResult> check(MachineDesk desk, Preset p) {
        if (!desk.recall(p.number(), LONGEST_WAY_MILLIS, () -> !cancelled)) {
            return Optional.empty();
        }
        MachineDesk.Place at = desk.place();
        List<String> differ = new ArrayList<>();
        double off = off(at, p);
        if (off > NEAR_DEGREES) {
            differ.add(Words.say("row.off", Map.of("degrees", one(off))));
        }
        p.kept()
                .zoom()
                .ifPresent(
                        z -> {
                            if (Math.abs(z - at.zoom()) > NEAR_ZOOM) {
                                differ.add(
                                        Words.say("row.zoom", Map.of("was", z, "is", at.zoom())));
                            }
                        });
        desk.sign();
        Map<String, Integer> now = new TreeMap<>(tools.reading().read(stored, camera));
        PresetKnobs.read(p.kept().knobs())
                .forEach(
                        (knob, was) -> {
                            Integer is = now.get(knob);
                            if (is != null && !is.equals(was)) {
                                differ.add(
                                        Words.say(
                                                "row.knob",
                                                Map.of("knob", knob, "was", was, "is", is)));
                            }
                        });
        return differ.isEmpty()
                ? said(p, "stands", "row.stands", Map.of("degrees", one(off)))
                : said(p, "differs", "row.differs", Map.of("what", String.join("; ", differ)));
    }

    private static double off(MachineDesk.Place at, Preset p) {
        return Math.max(
                Math.abs(at.pan() - p.kept().pan().orElseThrow() / HUNDREDTHS),
                Math.abs(at.tilt() - p.kept().tilt().orElseThrow() / HUNDREDTHS));
    }

    private void putBack(HeadGoing going, String place) {
        going.putBack(place);
        tools.putBacks().done(stored.id(), camera, PutBacks.HEAD);
        List<Knob> last = new ArrayList<>(turned.keySet());
        // Those on which others depend were turned first, and go back last.
        Collections.reverse(last);
        for (Knob knob : last) {
            try {
                tools.hands().turn(stored, camera, knob, turned.get(knob), by);
                tools.putBacks().done(stored.id(), camera, knob.name());
            } catch (KnobHands.NotTurned left) {
                LOG.info("{} stays noted: {}", knob.name(), left.getMessage());
            }
        }
    }

    private Optional<RowResult> said(
            Preset p, String outcome, String key, Map<String, String> more) {
        String words = Words.find(key, facts(p, more)).orElse(key);
        return Optional.of(new RowResult(p.number(), called(p), p.name(), outcome, words));
    }

    private String called(Preset p) {
        return PresetNumbering.of(stored.job()).called(camera.id(), p.number());
    }

    private Map<String, Object> facts(Preset p, Map<String, String> more) {
        Map<String, Object> facts = new TreeMap<>(more);
        facts.put("camera", camera.name());
        facts.put("number", called(p));
        facts.put("name", p.name());
        return facts;
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
