package app.jerboa.core.net;

import static app.jerboa.core.net.Worlds.camera;
import static app.jerboa.core.net.Worlds.device;
import static app.jerboa.core.net.Worlds.house;
import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class AddressPlannerTest {
    private static List<String> plan(AddressFacts facts) {
        return AddressPlanner.plan(facts).moves().stream()
                .map(m -> m.device() + ">" + m.to().lastOctet())
                .toList();
    }

    private static List<AddressedDevice> cameras(String... addresses) {
        List<AddressedDevice> devices = new ArrayList<>();
        for (String a : addresses) {
            devices.add(camera(devices.size() + 1, a.isEmpty() ? "" : "10.44.8." + a));
        }
        return devices;
    }

    private static CountingRun runOf(int n) {
        return Worlds.run(LongStream.rangeClosed(1, n).toArray());
    }

    @Test
    void aRunStartsAfterATakenAddressThatWouldSplitIt() {
        var facts =
                new AddressFacts(
                        house("10.44.8.23"), cameras("", "", "", "", "", ""), List.of(runOf(6)));
        assertThat(plan(facts)).containsExactly("1>24", "2>25", "3>26", "4>27", "5>28", "6>29");
    }

    @Test
    void oneStrayCameraComesBackAndTheOthersStay() {
        var facts =
                new AddressFacts(
                        house("10.44.8.33"), cameras("21", "22", "23", "33"), List.of(runOf(4)));
        assertThat(plan(facts)).containsExactly("4>24");
    }

    @Test
    void whatIsSetOnSiteStaysEvenWhenMorePlannedOnesMustMove() {
        var devices = cameras("21", "22", "", "");
        devices.set(2, device(3, AddressRole.CAMERA, "10.44.8.43", true));
        var facts = new AddressFacts(house(), devices, List.of(runOf(4)));
        assertThat(plan(facts)).containsExactly("1>41", "2>42", "4>44");
    }

    @Test
    void aStrangerMakesRoomWhenThatMovesFewer() {
        var devices = cameras("21", "22", "", "24");
        devices.add(device(9, AddressRole.COMPUTER, "10.44.8.23", false));
        var facts = new AddressFacts(house(), devices, List.of(runOf(4)));
        assertThat(plan(facts)).containsExactly("3>23", "9>81");
    }

    @Test
    void aRunNeverPassesTheLastOctet() {
        Lan wide =
                Worlds.lan(
                        "10.44.8.0/23",
                        "10.44.9.254",
                        List.of(Ipv4Range.parse("10.44.8.1", "10.44.8.253")));
        var facts = new AddressFacts(wide, cameras("", "", ""), List.of(runOf(3)));
        assertThat(AddressPlanner.plan(facts).moves())
                .first()
                .extracting(Move::to)
                .hasToString("10.44.9.0");
    }

    @Test
    void aMissingKeyLeavesItsAddressFree() {
        var run =
                new CountingRun(
                        new DeviceId(900),
                        "stick",
                        1,
                        true,
                        List.of(
                                new CountingRun.Keyed(1, new DeviceId(1)),
                                new CountingRun.Keyed(3, new DeviceId(2))));
        var facts = new AddressFacts(house(), cameras("", ""), List.of(run));
        assertThat(plan(facts)).containsExactly("1>21", "2>23");
    }

    @Test
    void camerasWithoutACounterStandSideBySideAndOthersGoToTheirBlock() {
        var devices = cameras("", "", "");
        devices.add(device(7, AddressRole.CONTROLLER, "", false));
        devices.add(device(8, AddressRole.INFRASTRUCTURE, "", false));
        var facts = new AddressFacts(house("10.44.8.22"), devices, List.of());
        assertThat(plan(facts)).containsExactly("1>23", "2>24", "3>25", "7>11", "8>2");
    }

    @Test
    void whenNothingIsLeftItSaysWho() {
        Lan full = Worlds.lan("10.44.8.0/30", "10.44.8.1", List.of());
        var plan = AddressPlanner.plan(new AddressFacts(full, cameras("", ""), List.of(runOf(2))));
        assertThat(plan.unplaced()).containsExactly(new DeviceId(1), new DeviceId(2));
        assertThat(plan.moves()).isEmpty();
    }

    /** Every start of the run is tried; whoever stands there or on bad ground moves. */
    @Test
    void movesNoMoreThanBruteForceDoes() {
        Random random = new Random(42);
        int planned = 0;
        for (int round = 0; round < 1_500; round++) {
            AddressFacts facts = Worlds.crowded(random);
            AddressPlan plan = AddressPlanner.plan(facts);
            Optional<int[]> best = cheapest(facts);
            boolean runPlaced = plan.unplaced().stream().noneMatch(d -> d.value() < 50);
            assertThat(runPlaced).as("round %d", round).isEqualTo(best.isPresent());
            if (best.isPresent()) {
                planned++;
                assertThat(cost(facts, plan)).as("round %d", round).isEqualTo(best.get());
            }
        }
        assertThat(planned).isGreaterThan(500);
    }

    /** Each start of one run with each start of the other. */
    @Test
    void twoRunsTogetherMoveNoMoreThanBruteForceDoes() {
        Random random = new Random(45);
        int planned = 0;
        for (int round = 0; round < 1_000; round++) {
            AddressFacts facts = Worlds.twoRuns(random);
            Ipv4Range hosts = facts.lan().subnet().hosts();
            int[] best = null;
            for (long a = hosts.first().bits(); a <= hosts.last().bits(); a++) {
                for (long b = hosts.first().bits(); b <= hosts.last().bits(); b++) {
                    int[] cost = costAt(facts, a, b);
                    if (cost != null && (best == null || Arrays.compare(cost, best) < 0)) {
                        best = cost;
                    }
                }
            }
            AddressPlan plan = AddressPlanner.plan(facts);
            boolean placed = plan.unplaced().stream().noneMatch(d -> d.value() < 50);
            assertThat(placed).as("round %d", round).isEqualTo(best != null);
            if (best != null) {
                planned++;
                assertThat(cost(facts, plan)).as("round %d", round).isEqualTo(best);
            }
        }
        assertThat(planned).isGreaterThan(500);
    }

    @Test
    void theSecondRunNeedNotMoveBecauseTheFirstWasPlacedBeforeIt() {
        var devices = cameras("30", "31", "50", "32", "33", "34", "35", "36");
        var second =
                new CountingRun(
                        new DeviceId(901),
                        "second",
                        1,
                        true,
                        LongStream.rangeClosed(4, 8)
                                .mapToObj(n -> new CountingRun.Keyed((int) n - 3, new DeviceId(n)))
                                .toList());
        var facts = new AddressFacts(house("10.44.8.49"), devices, List.of(runOf(3), second));
        assertThat(AddressPlanner.plan(facts).moves()).hasSize(3);
    }

    /** The pool is open to each camera that is reserved in it, whatever the others are. */
    @Test
    void reservedCamerasStayInThePoolBesideOthersOfTheirRun() {
        List<AddressedDevice> devices = new ArrayList<>();
        for (String a : List.of("98", "99", "100", "101")) {
            AddressedDevice d =
                    device(devices.size() + 1, AddressRole.CAMERA, "10.44.8." + a, true);
            devices.add(a.length() == 3 ? reserved(d) : d);
        }
        var facts = new AddressFacts(house(), devices, List.of(runOf(4)));
        assertThat(plan(facts)).isEmpty();
    }

    private static AddressedDevice reserved(AddressedDevice d) {
        return new AddressedDevice(
                d.id(),
                d.name(),
                d.role(),
                d.address(),
                d.prefix(),
                d.gateway(),
                true,
                d.leases(),
                d.set(),
                d.isGateway(),
                d.factory());
    }

    @Test
    void aReservedRangeInsideThePoolIsClosedToThoseReservedInThePool() {
        Lan lan =
                new Lan(
                        house().subnet(),
                        house().gateway(),
                        house().pools(),
                        List.of(Ipv4Range.parse("10.44.8.110", "10.44.8.119")),
                        List.of());
        var facts = new AddressFacts(lan, List.of(reserved(camera(1, "10.44.8.112"))), List.of());
        assertThat(AddressPlanner.plan(facts).moves()).hasSize(1);
        assertThat(AddressChecks.check(facts))
                .allSatisfy(f -> assertThat(f.fixes()).isNotEmpty())
                .isNotEmpty();
    }

    @Test
    void aPlanStandsOnceItIsTaken() {
        Random random = new Random(43);
        for (int round = 0; round < 1_000; round++) {
            AddressFacts facts = Worlds.crowded(random);
            AddressPlan plan = AddressPlanner.plan(facts);
            AddressFacts after =
                    Worlds.after(facts, plan.moves().stream().map(AddressIndex::asEdit).toList());
            assertThat(AddressPlanner.plan(after).moves()).as("round %d", round).isEmpty();
            Set<Ipv4> seen = new HashSet<>();
            for (AddressedDevice d : after.devices()) {
                if (!plan.unplaced().contains(d.id())) {
                    assertThat(seen.add(d.address().orElseThrow())).as("round %d", round).isTrue();
                }
            }
        }
    }

    /** Two controllers that share cameras move them as one long run would. */
    @Test
    void overlappingControllersAreFollowedTogether() {
        Random random = new Random(44);
        int shared = 0;
        for (int round = 0; round < 1_000; round++) {
            AddressFacts one = Worlds.crowded(random);
            List<CountingRun.Keyed> all = one.runs().get(0).cameras();
            if (all.size() > 2) {
                shared++;
                int cut = 1 + random.nextInt(all.size() - 2);
                AddressFacts two =
                        new AddressFacts(
                                one.lan(),
                                one.devices(),
                                List.of(
                                        part(901, all, 0, cut + 1),
                                        part(902, all, cut, all.size())));
                assertThat(AddressPlanner.plan(two))
                        .as("round %d", round)
                        .isEqualTo(AddressPlanner.plan(one));
            }
        }
        assertThat(shared).isGreaterThan(300);
    }

    /** Keys start at 1 on each. */
    private static CountingRun part(
            long controller, List<CountingRun.Keyed> all, int from, int to) {
        List<CountingRun.Keyed> keyed = new ArrayList<>();
        for (int i = from; i < to; i++) {
            keyed.add(new CountingRun.Keyed(i - from + 1, all.get(i).camera()));
        }
        return new CountingRun(new DeviceId(controller), "stick " + controller, 1, true, keyed);
    }

    @Test
    void controllersThatContradictEachOtherAreFollowedInTheirOrder() {
        var facts =
                new AddressFacts(
                        house(),
                        cameras("", "", ""),
                        List.of(
                                runOf(3),
                                new CountingRun(
                                        new DeviceId(901),
                                        "second",
                                        1,
                                        true,
                                        List.of(
                                                new CountingRun.Keyed(1, new DeviceId(3)),
                                                new CountingRun.Keyed(2, new DeviceId(1))))));
        assertThat(plan(facts)).containsExactly("1>21", "2>22", "3>23");
        AddressFacts after =
                Worlds.after(
                        facts,
                        AddressPlanner.plan(facts).moves().stream()
                                .map(AddressIndex::asEdit)
                                .toList());
        assertThat(AddressChecks.check(after))
                .extracting(f -> f.code().code())
                .containsExactly("ADDR-GAP");
    }

    private static int[] cost(AddressFacts facts, AddressPlan plan) {
        Map<DeviceId, AddressedDevice> devices = new HashMap<>();
        facts.devices().forEach(d -> devices.put(d.id(), d));
        Set<DeviceId> moved = new HashSet<>(plan.unplaced());
        plan.moves().forEach(m -> moved.add(m.device()));
        int set = (int) moved.stream().filter(d -> devices.get(d).set()).count();
        return new int[] {set, moved.size() - set};
    }

    private static Optional<int[]> cheapest(AddressFacts facts) {
        Ipv4Range hosts = facts.lan().subnet().hosts();
        int[] best = null;
        for (long first = hosts.first().bits(); first <= hosts.last().bits(); first++) {
            int[] cost = costAt(facts, first);
            if (cost != null
                    && (best == null
                            || cost[0] < best[0]
                            || cost[0] == best[0] && cost[1] < best[1])) {
                best = cost;
            }
        }
        return Optional.ofNullable(best);
    }

    private static int[] costAt(AddressFacts facts, long... firsts) {
        Map<DeviceId, Ipv4> wanted = new HashMap<>();
        for (int i = 0; i < firsts.length; i++) {
            for (CountingRun.Keyed k : facts.runs().get(i).cameras()) {
                Ipv4 address = new Ipv4(firsts[i] + k.key() - 1);
                if (!free(facts.lan(), address) || wanted.containsValue(address)) {
                    return null;
                }
                wanted.put(k.camera(), address);
            }
        }
        Set<Ipv4> used = new HashSet<>(wanted.values());
        int[] cost = {0, 0};
        for (boolean set : new boolean[] {true, false}) {
            for (AddressedDevice d : facts.devices()) {
                if (d.set() == set) {
                    boolean stays =
                            wanted.containsKey(d.id())
                                    ? d.address().equals(Optional.of(wanted.get(d.id())))
                                    : d.address()
                                            .filter(a -> free(facts.lan(), a) && used.add(a))
                                            .isPresent();
                    cost[set ? 0 : 1] += stays ? 0 : 1;
                }
            }
        }
        return cost;
    }

    private static boolean free(Lan lan, Ipv4 a) {
        return lan.subnet().isHost(a)
                && !a.equals(lan.gateway())
                && lan.pools().stream().noneMatch(p -> p.contains(a))
                && lan.taken().stream().noneMatch(t -> t.range().contains(a));
    }
}
