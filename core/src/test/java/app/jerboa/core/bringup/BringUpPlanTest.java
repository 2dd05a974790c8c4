package app.jerboa.core.bringup;

import static app.jerboa.core.bringup.SomeDevices.HOME;
import static app.jerboa.core.bringup.SomeDevices.device;
import static app.jerboa.core.bringup.SomeDevices.rivals;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BringUpPlanTest {
    private static BringUpPlan plan(BringUpMethod method, List<NewDevice> devices) {
        return BringUpPlan.of(method, false, devices, HOME, StepTimes.usual());
    }

    /**
     * n rivals, worked out by hand. HOP: hop + n (plug + boot + set + boot) + n verify, the hop
     * home hidden in the last boot when that is long enough. HOP_EACH: n (hop + plug + boot + set +
     * the longer of boot and hop + verify). ALIAS: alias + n (plug + boot + set + boot) + verify.
     * LEASE is ALIAS here, since nobody has the toggle. PORT: n plugs, then as the lesser of HOP
     * and ALIAS with 5 s in the place of 20 s.
     */
    @ParameterizedTest
    @CsvSource({
        "HOP, 6, 90, 1695",
        "ALIAS, 6, 90, 1595",
        "HOP_EACH, 6, 90, 1920",
        "HOP, 1, 90, 320",
        "HOP, 4, 60, 905",
        "HOP, 4, 10, 540",
        "HOP, 0, 90, 0",
        "HOP_EACH, 2, 10, 390",
        "LEASE, 6, 90, 1595",
        "PORT, 6, 90, 1595"
    })
    void timeOfRivals(BringUpMethod method, int n, int boot, int seconds) {
        assertThat(plan(method, rivals(n, boot)).seconds()).isEqualTo(seconds);
    }

    /**
     * Toggles: plug 20, boot 90, lease 30, boot 90; then set and boot run beside the next rival.
     */
    @Test
    void leasesFreeRivalsEarlier() {
        List<NewDevice> two = rivals(2, 90).stream().map(BringUpPlanTest::withToggle).toList();
        // 20+90+30+90 | second: 20 (set of the first 60 and its boot beside) 90+30+90+60+90+15
        assertThat(plan(BringUpMethod.LEASE, two).seconds()).isEqualTo(230 + 395);
        assertThat(plan(BringUpMethod.LEASE, two).otherwise()).isEmpty();
        // A search counts as a lease does; nobody of them pairs.
        assertThat(plan(BringUpMethod.SEARCH, two).seconds()).isEqualTo(230 + 395);
        assertThat(plan(BringUpMethod.PAIRING, two).otherwise()).hasSize(2);
        assertThat(plan(BringUpMethod.LEASE, rivals(2, 90)).otherwise()).hasSize(2);
    }

    private static NewDevice withToggle(NewDevice d) {
        return new NewDevice(
                d.id(),
                d.start(),
                d.atHome(),
                d.planned(),
                d.bootSeconds(),
                Set.of(Work.LEASE, Work.SEARCH),
                true,
                d.needs(),
                d.after(),
                d.progress());
    }

    @Test
    void portsArePluggedFirstAndEnabledOneByOne() {
        List<NewDevice> two = rivals(2, 90).stream().map(BringUpPlanTest::withToggle).toList();
        BringUpPlan plan = plan(BringUpMethod.PORT, two);
        assertThat(plan.seconds()).isEqualTo(20 + 2 * 20 + 2 * (5 + 90 + 60 + 90) + 15);
        assertThat(kinds(plan).subList(0, 4))
                .containsExactly(
                        Step.Kind.ALIAS, Step.Kind.PLUG_OFF, Step.Kind.PLUG_OFF, Step.Kind.PORT);
    }

    @Test
    void labelsAreStuckOnWhileDevicesBoot() {
        BringUpPlan bench =
                BringUpPlan.of(BringUpMethod.ALIAS, true, rivals(6, 90), HOME, StepTimes.usual());
        assertThat(bench.seconds()).isEqualTo(1595);
        assertThat(bench.sheet().count(Step.Kind.LABEL)).isEqualTo(6);
    }

    private static List<Step.Kind> kinds(BringUpPlan plan) {
        return plan.sheet().steps().stream().map(Step::kind).toList();
    }

    @Test
    void oneHopPerFactorySubnetAndOneHome() {
        List<NewDevice> devices =
                List.of(
                        device(1, "192.168.77.10", 60),
                        device(2, "172.29.3.20", 20),
                        device(3, "192.168.77.10", 60));
        List<Step> steps = plan(BringUpMethod.HOP, devices).sheet().steps();
        assertThat(steps)
                .filteredOn(s -> s.kind() == Step.Kind.HOP_OUT)
                .extracting(s -> s.laptop().toString())
                .containsExactlyInAnyOrder("192.168.77.250/24", "172.29.3.250/24");
        assertThat(steps).filteredOn(s -> s.kind() == Step.Kind.HOP_HOME).hasSize(1);
        assertThat(steps.subList(steps.size() - 3, steps.size()))
                .extracting(Step::kind)
                .containsOnly(Step.Kind.VERIFY);
    }

    /** For every method and many halls: the rules hold, whatever the order. */
    @ParameterizedTest
    @EnumSource(BringUpMethod.class)
    void everySheetKeepsTheRules(BringUpMethod method) {
        Random random = new Random(7);
        for (int round = 0; round < 50; round++) {
            List<NewDevice> devices = SomeDevices.random(random, 1 + random.nextInt(12));
            boolean bench = random.nextInt(3) == 0;
            BringUpPlan plan = BringUpPlan.of(method, bench, devices, HOME, StepTimes.usual());
            new Watched(devices, method, bench).watch(plan.sheet());
        }
    }

    /** Least time, against trying every order. */
    @ParameterizedTest
    @EnumSource(
            value = BringUpMethod.class,
            names = {"HOP", "ALIAS", "LEASE", "PORT"})
    void noOrderTakesLessTime(BringUpMethod method) {
        Random random = new Random(11);
        for (int round = 0; round < 42; round++) {
            int n =
                    round < 40
                            ? 1 + random.nextInt(4)
                            : round < 41 || method != BringUpMethod.HOP ? 5 : 6;
            List<NewDevice> devices = SomeDevices.random(random, n);
            BringUpPlan plan = plan(method, devices);
            assertThat(plan.seconds())
                    .as("round %d of %s with %s", round, method, devices)
                    .isEqualTo(new EveryOrder(devices, method).least());
            assertThat(plan.exact()).isTrue();
        }
    }

    @Test
    void whatIsDoneIsNotDoneAgain() {
        List<NewDevice> devices = new ArrayList<>(rivals(3, 60));
        devices.set(0, withProgress(devices.get(0), Set.of(Work.PLUG), 40));
        devices.set(1, withProgress(devices.get(1), Set.of(Work.PLUG, Work.SET), 0));
        BringUpPlan plan = plan(BringUpMethod.ALIAS, devices);
        assertThat(plan.sheet().steps())
                .filteredOn(s -> s.device().equals(Optional.of(new DeviceId(1))))
                .extracting(Step::kind)
                .containsExactly(Step.Kind.SET, Step.Kind.RESTART, Step.Kind.VERIFY);
        assertThat(plan.sheet().steps())
                .filteredOn(s -> s.device().equals(Optional.of(new DeviceId(2))))
                .extracting(Step::kind)
                .containsExactly(Step.Kind.RESTART, Step.Kind.VERIFY);
        assertThat(plan.sheet().steps())
                .filteredOn(s -> s.device().equals(Optional.of(new DeviceId(3))))
                .extracting(Step::kind)
                .startsWith(Step.Kind.PLUG);
    }

    private static NewDevice withProgress(NewDevice d, Set<Work> done, int bootLeft) {
        return new NewDevice(
                d.id(),
                d.start(),
                d.atHome(),
                d.planned(),
                d.bootSeconds(),
                d.fetchedBy(),
                d.switchedPort(),
                d.needs(),
                d.after(),
                new NewDevice.Progress(done, bootLeft));
    }

    @Test
    void aRingIsNamed() {
        NewDevice one = waiting(device(1, "192.168.77.10", 20), 2);
        NewDevice two = waiting(device(2, "172.29.3.20", 20), 1);
        NewDevice behind = waiting(device(3, "172.29.3.20", 20), 2);
        assertThat(WaitingRing.of(List.of(one, two, behind, device(4, "10.90.0.2", 20))))
                .containsExactly(new DeviceId(1), new DeviceId(2), new DeviceId(3));
    }

    private static NewDevice waiting(NewDevice d, int before) {
        return new NewDevice(
                d.id(),
                d.start(),
                false,
                d.planned(),
                d.bootSeconds(),
                Set.of(),
                false,
                Set.of(),
                Set.of(new DeviceId(before)),
                NewDevice.Progress.NONE);
    }

    @ParameterizedTest
    @CsvSource({"'60,60', 60", "'30,40,50', 40", "'30,40,50,9000', 40", "'9000,9000,9000', 60"})
    void timesTakenReplaceTheDefaultAfterThree(String taken, int seconds) {
        List<Integer> list =
                java.util.Arrays.stream(taken.split(",")).map(Integer::valueOf).toList();
        assertThat(StepTimes.usual().learning(Map.of(Work.SET, list)).of(Work.SET))
                .isEqualTo(seconds);
    }

    /** Carries a sheet out in thought and insists on every rule of the bring-up. */
    private static final class Watched {
        private final Map<DeviceId, NewDevice> devices = new HashMap<>();
        private final Set<DeviceId> powered = new HashSet<>();
        private final Set<DeviceId> gone = new HashSet<>();
        private final Set<DeviceId> left = new HashSet<>();
        private final Set<DeviceId> verified = new HashSet<>();
        private final BringUpMethod method;
        private final boolean bench;
        private final Set<String> aliases = new HashSet<>();
        private LaptopAddress laptop = HOME;

        Watched(List<NewDevice> devices, BringUpMethod method, boolean bench) {
            devices.forEach(d -> this.devices.put(d.id(), d));
            this.method = method;
            this.bench = bench;
        }

        void watch(RunSheet sheet) {
            sheet.steps().forEach(this::step);
            assertThat(verified).isEqualTo(devices.keySet());
            assertThat(sheet.count(Step.Kind.LABEL)).isEqualTo(bench ? devices.size() : 0);
            assertThat(laptop).isEqualTo(HOME);
            if (method == BringUpMethod.HOP_EACH || method == BringUpMethod.ALIAS) {
                assertThat(sheet.count(Step.Kind.HOP_OUT))
                        .isLessThanOrEqualTo(method == BringUpMethod.ALIAS ? 0 : devices.size());
            }
        }

        private void step(Step step) {
            NewDevice d = step.device().map(devices::get).orElse(null);
            switch (step.kind()) {
                case HOP_OUT, HOP_HOME -> laptop = step.laptop();
                case ALIAS -> aliases.add(step.laptop().subnet().toString());
                case PLUG, PORT -> power(d);
                case RESTART -> {
                    left.add(d.id());
                    gone.add(d.id());
                }
                case SET, RESET, UPDATE -> {
                    assertThat(powered).contains(d.id());
                    assertThat(reaches(d)).as("%s of %s", step, d).isTrue();
                    if (d.fetched(method).isPresent() && step.kind() == Step.Kind.SET) {
                        left.add(d.id());
                    }
                }
                case VERIFY -> {
                    assertThat(gone).contains(d.id());
                    assertThat(laptop).isEqualTo(HOME);
                    verified.add(d.id());
                }
                default -> {}
            }
        }

        private boolean reaches(NewDevice d) {
            return d.start().isEmpty()
                    || d.fetched(method).isPresent()
                    || laptop.subnet().equals(d.start().get().subnet())
                    || aliases.contains(d.start().get().subnet().toString());
        }

        private void power(NewDevice d) {
            Set<DeviceId> rivals =
                    powered.stream()
                            .filter(p -> !left.contains(p))
                            .filter(p -> devices.get(p).start().equals(d.start()))
                            .filter(p -> d.start().isPresent())
                            .collect(Collectors.toSet());
            assertThat(rivals).as("rivals of %s", d).isEmpty();
            assertThat(gone).containsAll(d.after());
            powered.add(d.id());
        }
    }

    @Test
    void theLaptopKeepsClearOfWhatIsPlannedThere() {
        List<NewDevice> devices =
                List.of(
                        NewDevice.fresh(
                                new DeviceId(1),
                                device(1, "192.168.77.10", 60).start().orElseThrow(),
                                Ipv4.parse("192.168.77.250"),
                                60));
        assertThat(plan(BringUpMethod.HOP, devices).sheet().steps().get(0).laptop().toString())
                .isEqualTo("192.168.77.249/24");
    }
}
