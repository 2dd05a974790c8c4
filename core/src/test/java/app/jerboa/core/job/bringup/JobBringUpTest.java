package app.jerboa.core.job.bringup;

import static app.jerboa.core.bringup.Step.Kind.ENTER;
import static app.jerboa.core.bringup.Step.Kind.PLUG;
import static app.jerboa.core.bringup.Step.Kind.REACH;
import static app.jerboa.core.bringup.Step.Kind.RESET;
import static app.jerboa.core.bringup.Step.Kind.SET;
import static app.jerboa.core.bringup.Step.Kind.UPDATE;
import static app.jerboa.core.bringup.Step.Kind.VERIFY;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.bringup.BringUpMethod;
import app.jerboa.core.bringup.BringUpPlan;
import app.jerboa.core.bringup.LaptopAddress;
import app.jerboa.core.bringup.NewDevice;
import app.jerboa.core.bringup.Step;
import app.jerboa.core.bringup.StepTimes;
import app.jerboa.core.bringup.WaitingRing;
import app.jerboa.core.bringup.Work;
import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.JobUnderTest;
import app.jerboa.core.job.cabling.CabledHall;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Profile;
import app.jerboa.core.profile.Protocol;
import app.jerboa.core.profile.SomeProfiles;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.profile.Transport;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class JobBringUpTest {
    private static final LaptopAddress HOME = new LaptopAddress(Ipv4.parse("10.44.8.81"), 24);
    private static final Profile COUNTING =
            SomeProfiles.of("counting", "Counting stick", Sort.IP_STICK)
                    .at("172.29.3.20")
                    .keys(8, 1, true)
                    .speaking(Protocol.VISCA_IP, Transport.UDP, true)
                    .profile();
    private static final Profile CAMERA =
            SomeProfiles.of("camera", "Camera", Sort.BOX_CAMERA)
                    .at("192.168.77.60")
                    .firstLogin()
                    .speaking(Protocol.VISCA_IP, Transport.UDP, false)
                    .profile();

    private static List<NewDevice> fresh(JobUnderTest job) {
        return NewDevices.of(Hall.of(job.job()).cabling(), Map.of());
    }

    private static NewDevice only(JobUnderTest job, long device) {
        return fresh(job).stream().filter(d -> d.id().value() == device).findFirst().orElseThrow();
    }

    private static List<Long> ids(Iterable<DeviceId> devices) {
        List<Long> ids = new java.util.ArrayList<>();
        devices.forEach(d -> ids.add(d.value()));
        ids.sort(null);
        return ids;
    }

    /** Router, switch, another switch behind it, a head on that. */
    @Test
    void aSwitchComesBeforeWhatHangsOnIt() {
        JobUnderTest job = new JobUnderTest(CabledHall.ROUTER, CabledHall.SWITCH, CabledHall.HEAD);
        long head = job.device("L1", CabledHall.HEAD, Field.ADDRESS, "10.44.8.21");
        long far = job.device("Far", CabledHall.SWITCH, Field.ADDRESS, "10.44.8.3");
        long near = job.device("Near", CabledHall.SWITCH, Field.ADDRESS, "10.44.8.2");
        long router = job.device("Router", CabledHall.ROUTER, Field.ADDRESS, "10.44.8.254");
        job.run(router, "LAN 1", near, "UPLINK 1", "data", 5);
        job.run(near, "PORT 1", far, "UPLINK 1", "data", 20);
        job.run(far, "PORT 1", head, "LAN", "data", 20);
        assertThat(fresh(job)).extracting(d -> d.id().value()).containsExactly(head, far, near);
        assertThat(ids(only(job, head).after())).containsExactly(far);
        assertThat(ids(only(job, far).after())).containsExactly(near);
        assertThat(ids(only(job, near).after())).containsExactly(router);
        assertThat(only(job, head).switchedPort()).isTrue();
        BringUpPlan plan =
                BringUpPlan.of(BringUpMethod.ALIAS, false, fresh(job), HOME, StepTimes.usual());
        assertThat(plan.sheet().steps())
                .filteredOn(s -> s.kind() == PLUG)
                .extracting(s -> s.device().orElseThrow().value())
                .containsExactly(near, far, head);
    }

    @Test
    void whoStartsOnAnothersPlannedAddressLeavesFirst() {
        JobUnderTest job = new JobUnderTest(CAMERA, COUNTING);
        long planned = job.device("L1", CAMERA, Field.ADDRESS, "172.29.3.20");
        long starting = job.device("Stick", COUNTING, Field.ADDRESS, "10.44.8.11");
        assertThat(ids(only(job, planned).after())).containsExactly(starting);
        assertThat(WaitingRing.of(fresh(job))).isEmpty();
        JobUnderTest ring = new JobUnderTest(CAMERA, COUNTING);
        ring.device("L1", CAMERA, Field.ADDRESS, "172.29.3.20");
        ring.device("Stick", COUNTING, Field.ADDRESS, "192.168.77.60");
        assertThat(WaitingRing.of(fresh(ring))).hasSize(2);
    }

    @Test
    void whatWasFoundElsewhereStartsThere() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long house = job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        long set = job.device("L2", CAMERA, Field.ADDRESS, "10.44.8.22");
        job.found(house, "10.44.8.99");
        job.found(set, "10.44.8.22");
        assertThat(only(job, house).atHome()).isTrue();
        assertThat(only(job, house).start().orElseThrow().address()).hasToString("10.44.8.99");
        assertThat(fresh(job)).noneMatch(d -> d.id().value() == set);
    }

    @Test
    void usedKitIsResetFirst() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one = job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21", Field.CONDITION, "rental");
        assertThat(only(job, one).needs()).containsExactly(Work.RESET);
        assertThat(kinds(job, RESET, one)).containsExactly("RESET_ALL");
        assertThat(
                        BringUpPlan.of(
                                        BringUpMethod.HOP,
                                        false,
                                        fresh(job),
                                        HOME,
                                        StepTimes.usual())
                                .sheet()
                                .steps())
                .extracting(Step::kind)
                .containsSubsequence(PLUG, RESET, SET, VERIFY)
                .doesNotContain(UPDATE);
    }

    private static List<String> kinds(JobUnderTest job, Step.Kind kind, long device) {
        StepActions actions = new StepActions(Hall.of(job.job()));
        return actions.of(new Step(kind, Optional.of(new DeviceId(device)), HOME)).stream()
                .map(a -> a.kind().name())
                .toList();
    }

    private static String values(JobUnderTest job, Step.Kind kind, long device) {
        StepActions actions = new StepActions(Hall.of(job.job()));
        return actions.of(new Step(kind, Optional.of(new DeviceId(device)), HOME)).stream()
                .map(a -> (a.kind() + " " + a.value()).strip())
                .collect(Collectors.joining("|"));
    }

    @Test
    void settingGoesInTheOrderADeviceAsksForIt() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one =
                job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21", Field.GATEWAY, "10.44.8.254");
        assertThat(values(job, SET, one))
                .isEqualTo(
                        "LOG_IN_FACTORY admin|CHANGE_PASSWORD|REMOTE_ON|ADDRESS 10.44.8.21|"
                                + "MASK 255.255.255.0|GATEWAY 10.44.8.254|SAVE_RESTART");
        long two =
                job.device(
                        "L2",
                        CAMERA,
                        Field.ADDRESS,
                        "10.44.8.122",
                        Field.RESERVED,
                        "true",
                        Field.MAC,
                        "02:4a:00:00:00:01");
        assertThat(values(job, SET, two))
                .contains("RESERVE 10.44.8.122|STAY_ON_LEASE|SAVE_RESTART")
                .doesNotContain("ADDRESS 10");
    }

    @Test
    void aPasswordThatIsKeptGoesWithTheStep() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one = job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        long secret =
                job.add(
                        ItemKind.SECRET,
                        Field.SECRET_FOR,
                        one,
                        Field.SECRET_USE,
                        "password",
                        Field.SEALED,
                        "x",
                        Field.FINGERPRINT,
                        "y",
                        Field.SECRET_ORIGIN,
                        "generated");
        List<Action> set =
                new StepActions(Hall.of(job.job()))
                        .of(new Step(SET, Optional.of(new DeviceId(one)), HOME));
        assertThat(set)
                .filteredOn(a -> a.secret().isPresent())
                .extracting(a -> a.kind() + " " + a.secret().get().id())
                .containsExactly("CHANGE_PASSWORD " + secret);
    }

    @Test
    void controllersAreFilledAfterTheirCameras() {
        JobUnderTest job = new JobUnderTest(CAMERA, COUNTING);
        long stick = job.device("Stick", COUNTING, Field.ADDRESS, "10.44.8.11");
        for (int i = 1; i <= 2; i++) {
            long camera = job.device("L" + i, CAMERA, Field.ADDRESS, "10.44.8.2" + (i + 1));
            job.line(i, camera, Field.CONTROLLER, stick, Field.KEY, i + 1);
        }
        Hall hall = Hall.of(job.job());
        List<Step> all = new StepActions(hall).around(List.of(), HOME, Set.of());
        assertThat(all)
                .filteredOn(s -> s.kind() == ENTER)
                .extracting(s -> s.device().orElseThrow().value())
                .containsExactly(stick);
        assertThat(values(job, ENTER, stick))
                .contains("ENTRY 10.44.8.22", "ENTRY 10.44.8.23")
                .startsWith("COUNT_FROM 10.44.8.21");
    }

    /** A chain is set in the order of its lead, whatever the lines say. */
    @Test
    void serialCamerasAreSetAsTheirLeadPassesThem() {
        JobUnderTest job = new JobUnderTest(CabledHall.STICK, CabledHall.SERIAL_HEAD);
        long stick = job.device("Stick", CabledHall.STICK, Field.BAUD, "38400");
        long second = job.device("L1", CabledHall.SERIAL_HEAD);
        long first = job.device("L2", CabledHall.SERIAL_HEAD);
        job.line(1, second, Field.CONTROLLER, stick, Field.KEY, 1);
        job.line(2, first, Field.CONTROLLER, stick, Field.KEY, 2);
        job.run(stick, "RS-232", first, "IN", "serial", 5);
        job.run(first, "OUT", second, "IN", "serial", 5);
        assertThat(new StepActions(Hall.of(job.job())).around(List.of(), HOME, Set.of()))
                .filteredOn(s -> s.kind() == REACH)
                .extracting(s -> s.device().orElseThrow().value())
                .containsExactly(first, second);
        assertThat(values(job, REACH, second)).contains("SERIAL_ID 1|BAUD 38400|FRAMING 8N1");
    }

    @Test
    void theWorkshopIsAdvisedWhenThereIsTimeAndSomethingHangsHigh() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        long one = job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        assertThat(choice(job).bench()).isFalse();
        job.mount(one, Field.PLACE, "ceiling");
        assertThat(choice(job).bench()).isFalse();
        assertThat(choice(job).high()).hasSize(1);
        job.site(Field.WORKSHOP, "3");
        assertThat(choice(job).bench()).as("180 s of 235 needed").isFalse();
        job.site(Field.WORKSHOP, "4");
        assertThat(choice(job).bench()).isTrue();
    }

    private static Choice choice(JobUnderTest job) {
        return Choice.of(Hall.of(job.job()), fresh(job), false, HOME, StepTimes.usual());
    }

    /** With one device, hopping costs two hops, a second address 20 s; so it must be made dear. */
    @Test
    void aLaptopThatServesOthersDoesNotHop() {
        JobUnderTest job = new JobUnderTest(CAMERA);
        job.device("L1", CAMERA, Field.ADDRESS, "10.44.8.21");
        StepTimes times = StepTimes.usual().with(Work.ALIAS, 500);
        Choice free = Choice.of(Hall.of(job.job()), fresh(job), false, HOME, times);
        assertThat(free.recommended().method()).isEqualTo(BringUpMethod.HOP);
        assertThat(free.reason()).isEqualTo(Choice.Reason.LEAST_TIME);
        job.site(Field.LAPTOP_SERVES, "true");
        Choice serving = Choice.of(Hall.of(job.job()), fresh(job), false, HOME, times);
        assertThat(serving.recommended().method()).isEqualTo(BringUpMethod.ALIAS);
        assertThat(serving.reason()).isEqualTo(Choice.Reason.LAPTOP_SERVES);
    }
}
