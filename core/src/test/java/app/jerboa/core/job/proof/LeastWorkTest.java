package app.jerboa.core.job.proof;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.desk.DeskWays;
import app.jerboa.core.profile.Join;
import app.jerboa.core.profile.PortUse;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who has to walk where for what is open. */
class LeastWorkTest {
    private static final Set<Topic> ASKED = EnumSet.of(Topic.LINK, Topic.ADDRESS, Topic.MOVES);
    private static final Profile HEAD =
            SomeProfiles.of("head", "Head", Sort.CEILING_PTZ)
                    .at("192.168.77.10")
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .head(OptionalDouble.empty(), OptionalDouble.empty(), 1)
                    .port("LAN", Join.ETHERNET, 1, PortUse.CONTROL)
                    .profile();
    private static final Profile SWITCH =
            SomeProfiles.of("switch", "Switch", Sort.POE_SWITCH)
                    .giving(8, 130)
                    .port("PORT", Join.ETHERNET, 8, PortUse.NETWORK)
                    .profile();
    private static final Profile STICK =
            SomeProfiles.of("stick", "Stick", Sort.IP_STICK).keys(8, 1, false).profile();

    private final JobUnderTest plan = new JobUnderTest(HEAD, SWITCH, STICK);
    private final long stick = plan.device("Stick", STICK, Field.ADDRESS, "10.44.8.11");
    private final long hub = plan.device("Switch", SWITCH);
    private final long first = camera(1);

    LeastWorkTest() {
        camera(2);
    }

    private long camera(int number) {
        long camera = plan.device("L" + number, HEAD, Field.ADDRESS, "10.44.8.2" + number);
        plan.line(number, camera, Field.CONTROLLER, stick, Field.KEY, number);
        plan.run(hub, "PORT " + number, camera, "LAN", "data", 30);
        plan.mount(camera, Field.PLACE, number == 1 ? "ceiling" : "tripod");
        return camera;
    }

    private static Observed known(Job job, long device, Topic topic, Outcome outcome) {
        DeviceId id = new DeviceId(device);
        return Observed.NONE.plus(
                List.of(
                        new Observation(
                                1,
                                id,
                                topic,
                                "",
                                Evidence.ASKED,
                                Optional.of(outcome),
                                Instant.EPOCH,
                                BasisFacts.of(job).of(id, topic))));
    }

    private static List<LeastWork.Visit> left(Proof proof, Set<Topic> byMachine) {
        return LeastWork.of(proof, DeskWays.of(proof.job()), byMachine);
    }

    private static String words(List<LeastWork.Visit> visits) {
        return visits.stream()
                .map(v -> v.where() + " " + v.tests().size())
                .collect(Collectors.joining(", "));
    }

    @Test
    void aMachineGoesFirstAndEachPlaceIsVisitedOnce() {
        Job job = plan.job();
        Proof proof = Proof.of(job, Observed.NONE);
        List<LeastWork.Visit> visits = left(proof, ASKED);
        assertThat(visits.get(0).where()).isEqualTo(LeastWork.Where.MACHINE);
        assertThat(visits).extracting(LeastWork.Visit::where).isSorted();
        assertThat(visits).extracting(v -> v.where() + " " + v.at()).doesNotHaveDuplicates();
        // Every open test of every line, and each once.
        List<String> done = new ArrayList<>();
        visits.forEach(v -> v.tests().forEach(t -> done.add(t.line().number() + " " + t.test())));
        List<String> open = new ArrayList<>();
        for (Line line : job.lines()) {
            for (Map.Entry<Topic, Standing> e : proof.tests(line).entrySet()) {
                if (e.getValue().state() == Standing.State.OPEN) {
                    open.add(line.number() + " " + e.getKey());
                }
            }
        }
        assertThat(done).containsExactlyInAnyOrderElementsOf(open);
    }

    /** What is known of the first camera's test, and where somebody must go for it then. */
    @ParameterizedTest
    @CsvSource({
        "LINK, CANNOT_TELL, NETWORK_SWITCH",
        "LINK, FAILED, MACHINE",
        "MOVES, CANNOT_TELL, DESK",
        "DIRECTION, FAILED, DESK",
        "KEY, FAILED, CONTROLLER",
        "ADDRESS, CANNOT_TELL, DESK"
    })
    void whatAMachineCannotTellIsSeenWhereItShows(
            Topic test, Outcome outcome, LeastWork.Where where) {
        Job job = plan.job();
        Proof proof = Proof.of(job, known(job, first, test, outcome));
        assertThat(
                        left(proof, ASKED).stream()
                                .filter(
                                        v ->
                                                v.tests().stream()
                                                        .anyMatch(
                                                                t ->
                                                                        t.test() == test
                                                                                && t.line().number()
                                                                                        == 1))
                                .map(LeastWork.Visit::where))
                .containsExactly(where);
    }

    @Test
    void whatIsProvedIsLeftOutAndNothingLeftIsNoVisit() {
        Job job = plan.job();
        String before = words(left(Proof.of(job, Observed.NONE), ASKED));
        Proof proof = Proof.of(job, known(job, first, Topic.LINK, Outcome.OK));
        String after = words(left(proof, ASKED));
        assertThat(before).startsWith("MACHINE 6, DESK");
        assertThat(after).startsWith("MACHINE 5, DESK");
        assertThat(left(Proof.of(new JobUnderTest().job(), Observed.NONE), ASKED)).isEmpty();
    }

    /** A line without a key: somebody goes to the camera, with a ladder where it hangs overhead. */
    @Test
    void aLadderTakesItsTime() {
        JobUnderTest bare = new JobUnderTest(HEAD);
        for (int number = 1; number <= 2; number++) {
            long camera = bare.device("L" + number, HEAD);
            bare.line(number, camera);
            bare.mount(camera, Field.PLACE, number == 1 ? "truss" : "tripod");
        }
        List<LeastWork.Visit> visits = left(Proof.of(bare.job(), Observed.NONE), Set.of());
        List<LeastWork.Visit> cameras =
                visits.stream().filter(v -> v.where() == LeastWork.Where.CAMERA).toList();
        assertThat(cameras).extracting(LeastWork.Visit::ladder).containsExactly(true, false);
        assertThat(cameras.get(0).seconds() - cameras.get(1).seconds()).isEqualTo(180);
    }
}
