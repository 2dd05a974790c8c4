package app.jerboa.server.prove;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.proof.LeastWork;
import app.jerboa.core.job.proof.TestTimes;
import app.jerboa.core.job.proof.Topic;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Kebab;
import app.jerboa.server.job.Jobs;
import app.jerboa.server.people.Person;
import app.jerboa.server.platform.Needs;
import app.jerboa.server.platform.Problem;
import app.jerboa.server.platform.Right;
import app.jerboa.server.run.RunRow;
import app.jerboa.server.words.Words;
import app.jerboa.server.world.Contacts;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpSession;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tests done by machine: begun, looked at, cancelled; and what they left behind. */
@RestController
@RequestMapping("/api/jobs/{job}/prove")
class ProveController {
    /**
     * Where the run stands.
     *
     * @param state none, running, done, cancelled or stopped
     * @param done tests that are over
     * @param doing what is done now
     * @param why of a stopped one
     * @param left what was changed and is not put back yet
     * @param byMachine tests that a machine can do
     * @param moving those of them that move a head
     */
    record ProveView(
            String state,
            String person,
            int done,
            int count,
            String doing,
            String why,
            List<LeftBody> left,
            List<String> byMachine,
            List<String> moving) {}

    /**
     * What was changed and is not put back yet.
     *
     * @param what head, or the name of a knob
     */
    record LeftBody(
            long deviceId, String device, String what, String value, OffsetDateTime since) {}

    /**
     * @param lines ids
     * @param tests topics
     * @param clear somebody at the heads said that nobody and nothing is in their way
     */
    record StartBody(List<Long> lines, List<String> tests, boolean clear) {}

    private final ProveRuns runs;
    private final Jobs jobs;
    private final Contacts contacts;

    ProveController(ProveRuns runs, Jobs jobs, Contacts contacts) {
        this.contacts = contacts;
        this.runs = runs;
        this.jobs = jobs;
    }

    @GetMapping
    ProveView view(@PathVariable("job") long job) {
        Jobs.Stored stored = jobs.load(job);
        Optional<RunRow> run = runs.run(job);
        return new ProveView(
                run.map(RunRow::stateNow).orElse("none"),
                run.map(RunRow::person).orElse(""),
                run.map(RunRow::done).orElse(0),
                run.map(RunRow::count).orElse(0),
                run.map(RunRow::doing).orElse(""),
                run.map(RunRow::why).orElse(""),
                runs.left(job).stream().flatMap(r -> left(stored, r).stream()).toList(),
                words(Proving.BY_MACHINE),
                words(Proving.MOVING));
    }

    /**
     * What is open, in the order that needs the fewest walks.
     *
     * @param seconds with the walks
     * @param asked seconds of a question that a machine asks; {@code seen} of one that a person
     *     answers
     * @param askedFrom how many times that were really taken stand behind it; 0 for the usual one;
     *     {@code seenFrom} likewise
     */
    record LeftView(
            int seconds,
            int asked,
            int seen,
            int askedFrom,
            int seenFrom,
            List<VisitBody> visits) {}

    /**
     * All that is done at one place.
     *
     * @param where machine, desk, controller, switcher, network-switch or camera
     * @param place name of the device there; empty for a machine and for the desk
     * @param ladder it hangs overhead
     */
    record VisitBody(
            String where, String place, boolean ladder, int seconds, List<LeftTest> tests) {}

    record LeftTest(long line, String name, String test) {}

    @GetMapping("/left")
    LeftView left(@PathVariable("job") long id) {
        Jobs.Stored stored = jobs.load(id);
        List<VisitBody> visits =
                LeastWork.of(stored.proof(), contacts.ways(stored), Proving.BY_MACHINE).stream()
                        .map(v -> visit(stored, v))
                        .toList();
        TestTimes times = TestTimes.of(stored.seen());
        return new LeftView(
                visits.stream().mapToInt(VisitBody::seconds).sum(),
                times.asked(),
                times.seen(),
                times.askedFrom(),
                times.seenFrom(),
                visits);
    }

    private static VisitBody visit(Jobs.Stored stored, LeastWork.Visit v) {
        return new VisitBody(
                Kebab.of(v.where()),
                v.at().flatMap(stored.job()::device).map(Device::name).orElse(""),
                v.ladder(),
                v.seconds(),
                v.tests().stream()
                        .map(
                                t ->
                                        new LeftTest(
                                                t.line().id(),
                                                stored.job()
                                                        .site()
                                                        .habits()
                                                        .numbering()
                                                        .label(t.line().number()),
                                                t.test().wire()))
                        .toList());
    }

    private static List<String> words(java.util.Set<Topic> topics) {
        return topics.stream().map(Topic::wire).toList();
    }

    /** Empty for one of a device that is planned no more. */
    private static Optional<LeftBody> left(Jobs.Stored stored, PutBackRow r) {
        return stored.job()
                .device(new DeviceId(r.deviceId()))
                .map(
                        d ->
                                new LeftBody(
                                        r.deviceId(),
                                        d.name(),
                                        r.what(),
                                        r.value(),
                                        r.since().withOffsetSameInstant(ZoneOffset.UTC)));
    }

    @PostMapping("/start")
    @Needs(Right.DRIVE)
    ProveView start(
            @PathVariable("job") long job,
            @RequestBody StartBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpSession session) {
        List<Topic> topics =
                Optional.ofNullable(body.tests()).orElse(List.of()).stream()
                        .map(ProveController::topic)
                        .toList();
        List<Long> lines = Optional.ofNullable(body.lines()).orElse(List.of());
        runs.start(jobs.load(job), lines, topics, body.clear(), person, session.getId());
        return view(job);
    }

    /**
     * @param devices ids; none for all of the job
     */
    record AskBody(List<Long> devices) {}

    /** Asks devices at their planned addresses what they and the network tell; nothing moves. */
    @PostMapping("/ask")
    @Needs(Right.PLAN)
    ProveView ask(
            @PathVariable("job") long job,
            @RequestBody AskBody body,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person,
            @Parameter(hidden = true) HttpSession session) {
        List<Long> devices = Optional.ofNullable(body.devices()).orElse(List.of());
        Jobs.Stored stored = jobs.load(job);
        runs.ask(stored, contacts.ways(stored), devices, person, session.getId());
        return view(job);
    }

    private static Topic topic(String word) {
        return Topic.fromWire(String.valueOf(word))
                .filter(Topic::test)
                .orElseThrow(
                        () ->
                                new Problem(
                                        HttpStatus.BAD_REQUEST,
                                        "bad-value",
                                        Words.say("refused.no-test", Map.of("test", word)),
                                        Map.of("field", "tests")));
    }

    /** What is under way is put back, the rest is left. */
    @PostMapping("/cancel")
    @Needs(Right.DRIVE)
    ProveView cancel(@PathVariable("job") long job) {
        runs.cancel(job);
        return view(job);
    }

    /** Everything that moves in this job, at every desk; nothing is put back by itself then. */
    @PostMapping("/stop-all")
    @Needs(Right.DRIVE)
    void stopAll(@PathVariable("job") long job) {
        runs.stopAll(job);
    }

    /** What earlier tests changed and could not put back. */
    @PostMapping("/put-back")
    @Needs(Right.DRIVE)
    ProveView putBack(
            @PathVariable("job") long job,
            @Parameter(hidden = true) @AuthenticationPrincipal Person person) {
        runs.putBack(job, person);
        return view(job);
    }
}
