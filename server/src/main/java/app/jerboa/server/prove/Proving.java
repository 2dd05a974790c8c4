package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.seen.SeenWiring;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.server.desk.MachineDesk;
import app.jerboa.server.desk.MachineDesks;
import app.jerboa.server.desk.MachineStopped;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.proof.Observations;
import app.jerboa.server.run.MachineRun;
import app.jerboa.server.wiring.Wirings;
import app.jerboa.server.words.Words;
import app.jerboa.wire.link.session.NoAnswer;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** One run of tests, from the first to the last, on a thread of its own. */
final class Proving implements MachineRun {
    static final Set<Topic> MOVING = EnumSet.of(Topic.MOVES, Topic.STOP, Topic.ZOOM);

    /** What a machine can do by now; the others are asked of a person. */
    static final Set<Topic> BY_MACHINE =
            EnumSet.of(
                    Topic.LINK,
                    Topic.ADDRESS,
                    Topic.MOVES,
                    Topic.ZOOM,
                    Topic.FOCUS,
                    Topic.STOP,
                    Topic.IRIS,
                    Topic.WHITE_BALANCE,
                    Topic.STREAM);

    /** What a run works with. */
    record Tools(
            Jobs jobs,
            Observations observations,
            MachineDesks desks,
            KnobTests knobs,
            NetTests nets,
            DeviceTests devices,
            ControlTest control,
            StreamTest stream,
            Wirings wirings,
            PutBacks putBacks) {}

    /** One test to be done. */
    record Test(long device, Topic topic) {}

    private final Tools tools;
    private final long job;
    private final List<Test> tests;
    private final Person by;
    private final String httpSession;
    private final long stops;
    private SeenWiring wiring;
    private MachineDesk desk;
    private long desked;
    private volatile boolean cancelled;

    Proving(Tools tools, long job, List<Test> tests, Person by, String httpSession) {
        this.tools = tools;
        this.job = job;
        this.tests = List.copyOf(tests);
        this.by = by;
        this.httpSession = httpSession;
        this.stops = tools.desks().stops(job);
    }

    @Override
    public void cancel() {
        cancelled = true;
    }

    @Override
    public End run(Progress progress) {
        try {
            for (int i = 0; i < tests.size(); i++) {
                if (cancelled) {
                    return End.CANCELLED;
                }
                tools.desks().insistNotStopped(job, stops);
                Test test = tests.get(i);
                Jobs.Stored stored = tools.jobs().load(job);
                Device device = stored.need(test.device());
                progress.now(i, Words.say("test." + test.topic().wire()) + ": " + device.name());
                keep(device, test.topic(), verdict(stored, device, test.topic()));
            }
            return End.DONE;
        } catch (MachineStopped e) {
            return End.stopped(e.getMessage());
        } finally {
            free();
        }
    }

    private void keep(Device device, Topic topic, Verdict v) {
        tools.observations().add(job, v.seenAt(device, topic), by.displayName());
    }

    private Verdict verdict(Jobs.Stored stored, Device device, Topic topic) {
        if (!MOVING.contains(topic)) {
            free();
        }
        return switch (topic) {
            case LINK -> tools.nets().link(stored.job(), wiring(stored), device);
            case ADDRESS -> tools.nets().address(stored, device);
            case FIRMWARE -> tools.devices().firmware(stored, device);
            case CONTROL -> tools.control().test(stored, device);
            case ACCESS -> tools.devices().access(stored, device);
            case STREAM -> tools.stream().test(stored, device);
            case MOVES -> moving(device, HeadTests::moves);
            case STOP -> moving(device, HeadTests::stop);
            case ZOOM -> moving(device, HeadTests::zoom);
            case FOCUS, IRIS, WHITE_BALANCE ->
                    tools.desks().onAir(job, device.id().value())
                            ? Verdict.cannotTell(Words.say("prove.on-air"))
                            : tools.knobs().test(stored, device, topic, by);
            default -> Verdict.cannotTell(Words.say("prove.not-by-machine"));
        };
    }

    /** The switches are asked once a run. */
    private SeenWiring wiring(Jobs.Stored stored) {
        if (wiring == null) {
            wiring = tools.wirings().look(stored);
        }
        return wiring;
    }

    /** A head that cannot be taken or does not tell is no reason to stop the others. */
    private Verdict moving(Device device, Function<HeadTests, Verdict> test) {
        Optional<Verdict> refused = taken(device);
        if (refused.isPresent()) {
            return refused.get();
        }
        HeadTests head = new HeadTests(desk);
        try {
            String place = head.place();
            tools.putBacks().note(job, device, PutBacks.HEAD, place, by);
            Verdict verdict = test.apply(head);
            head.putBack(place);
            tools.putBacks().done(job, device, PutBacks.HEAD);
            return verdict;
        } catch (NoAnswer e) {
            return Verdict.failed(
                    "",
                    Words.say(
                            "prove.no-answer",
                            Map.of("device", device.name(), "why", e.getMessage())));
        }
    }

    private Optional<Verdict> taken(Device device) {
        if (desk != null && desked == device.id().value()) {
            return Optional.empty();
        }
        free();
        try {
            desk = tools.desks().take(job, device.id().value(), by, httpSession);
            desked = device.id().value();
        } catch (MachineStopped e) {
            return Optional.of(Verdict.cannotTell(e.getMessage()));
        }
        // One that was cried while it was being taken found nothing here to stop.
        tools.desks().insistNotStopped(job, stops);
        if (desk.link().can().tells()) {
            return Optional.empty();
        }
        free();
        return Optional.of(Verdict.cannotTell(Words.say("prove.tells-nothing")));
    }

    private void free() {
        if (desk != null) {
            desk.close();
            desk = null;
        }
    }
}
