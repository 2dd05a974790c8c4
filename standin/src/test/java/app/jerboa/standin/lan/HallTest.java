package app.jerboa.standin.lan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.JobFile;
import app.jerboa.standin.Json;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import app.jerboa.standin.controller.Entry;
import app.jerboa.standin.device.Hand;
import app.jerboa.standin.device.NetworkSettings;
import app.jerboa.standin.fault.Fault;
import app.jerboa.standin.fault.Faults;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.LongStream;
import org.assertj.core.groups.Tuple;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A hall in simulated time: what cables, power, rivals and entries make of it. */
class HallTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final Ipv4 FACTORY = Ipv4.parse("192.168.77.10");
    private static final NetworkSettings HOPPED =
            new NetworkSettings(Ipv4.parse("192.168.77.250"), 24, "");
    private static final DeviceId SWITCH = new DeviceId(26);
    private static final DeviceId L1 = new DeviceId(7);
    private static final DeviceId L2 = new DeviceId(8);
    private static final DeviceId STICK = new DeviceId(21);
    private static final DeviceId SERIAL_STICK = new DeviceId(22);
    private static final DeviceId DOME = new DeviceId(19);

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private Hall hall = rig.furnish("1", TestJob.demo());

    private void pass(double seconds) {
        now.updateAndGet(t -> t.plusMillis(Math.round(seconds * 1000)));
    }

    private Hall of(JsonNode file) {
        hall.close();
        hall = rig.furnish("2", file);
        return hall;
    }

    @AfterEach
    void close() {
        hall.close();
    }

    private Truth.OfDevice truth(DeviceId id) {
        return Truth.of(hall).devices().stream()
                .filter(d -> d.id() == id.value())
                .findFirst()
                .orElseThrow();
    }

    private List<String> answering(Ipv4 address) {
        return hall.answering(address).stream().map(RigDevice::name).toList();
    }

    private void asPlanned() {
        hall.begin("as-planned");
        pass(400);
        hall.settle();
    }

    @Test
    void everyDeviceOfTheJobStandsThere() {
        assertThat(hall.devices()).hasSize(TestJob.demo().get("devices").size());
        assertThat(hall.devices())
                .filteredOn(RigDevice::powered)
                .extracting(RigDevice::name)
                .as("all but the house's own router come from the box, and what needs no power")
                .contains("House router")
                .doesNotContain("L1", "PoE switch", "IP stick");
    }

    /**
     * A lead alone is nothing: power comes from a switch that has started, over a port that is on.
     */
    @Test
    void aCameraHasPowerOverItsLeadFromASwitchThatIsUp() {
        hall.plug(L1, true, false);
        assertThat(truth(L1).power()).isEqualTo("PoE switch has no power itself");
        hall.plug(SWITCH, true, false);
        assertThat(hall.need(L1).upAt())
                .as("the switch starts first")
                .contains(START.plusSeconds(105));
        pass(105);
        hall.moveLaptop(HOPPED);
        assertThat(answering(FACTORY))
                .as("a managed switch listens for loops")
                .containsExactly("L1");
        hall.port(new Port(SWITCH, "PORT 1"), Port.State.OFF);
        assertThat(truth(L1).power()).isEqualTo("PoE switch PORT 1 is off");
        assertThat(answering(FACTORY)).isEmpty();
        hall.port(new Port(SWITCH, "PORT 1"), Port.State.ON);
        pass(59);
        assertThat(answering(FACTORY)).as("it boots anew").isEmpty();
        pass(1);
        assertThat(answering(FACTORY)).containsExactly("L1");
        hall.port(new Port(SWITCH, "PORT 1"), Port.State.DEAD);
        assertThatThrownBy(() -> hall.port(new Port(SWITCH, "PORT 1"), Port.State.ON))
                .isInstanceOf(IllegalStateException.class);
    }

    @ParameterizedTest
    @EnumSource(
            value = RunFault.class,
            names = {"MIS_PINNED", "BROKEN"})
    void aBadNetworkLeadHasNoLight(RunFault fault) {
        asPlanned();
        assertThat(answering(Ipv4.parse("10.44.8.21"))).containsExactly("L1");
        hall.spoil(77, Optional.of(fault));
        assertThat(answering(Ipv4.parse("10.44.8.21"))).isEmpty();
        assertThat(Truth.of(hall).runs())
                .filteredOn(r -> r.id() == 77)
                .extracting(Truth.OfRun::lit, Truth.OfRun::plugged)
                .containsExactly(Tuple.tuple(false, true));
    }

    /** The demo's dome: 12 V over 42 m never start it, over 20 m they do until it moves. */
    @Test
    void theDomeStartsAtRestAndDiesWhenItMoves() throws Exception {
        asPlanned();
        assertThat(truth(DOME).power()).matches("9\\.\\d V arrive, it needs 10.8 V");
        of(shorter());
        asPlanned();
        boolean starts = hall.need(DOME).phase() == RigDevice.Phase.UP;
        assertThat(starts).as(truth(DOME).power()).isTrue();
        Instant before = hall.need(DOME).upAt().orElseThrow();
        Sticks sticks = new Sticks(hall);
        sticks.press(SERIAL_STICK, key(SERIAL_STICK, DOME));
        sticks.stick(SERIAL_STICK, 1, 0);
        Awaitility.await()
                .untilAsserted(
                        () ->
                                assertThat(hall.need(DOME).upAt())
                                        .as("it lost its power and starts anew")
                                        .get()
                                        .isNotEqualTo(before));
    }

    private static JsonNode shorter() {
        var file = TestJob.demo();
        for (JsonNode run : file.get("runs")) {
            if (run.get("id").asLong() == 108) {
                ((ObjectNode) run).put("metres", 20);
            }
        }
        return file;
    }

    private int key(DeviceId controller, DeviceId moved) {
        return Truth.of(hall).keys().stream()
                .filter(k -> k.controller() == controller.value())
                .filter(k -> k.moves().contains(moved.value()))
                .map(Truth.OfKey::key)
                .findFirst()
                .orElseThrow();
    }

    /** The last ports lose their power when the budget is spent, and get it back. */
    @Test
    void aSpentBudgetShedsTheLastPorts() {
        asPlanned();
        List<String> before = powered();
        hall.spend(SWITCH, 100);
        List<String> after = powered();
        assertThat(after).doesNotContain("L6", "L5").contains("L1", "L2");
        hall.spend(SWITCH, 0);
        assertThat(powered()).isEqualTo(before);
    }

    private List<String> powered() {
        return hall.devices().stream().filter(RigDevice::powered).map(RigDevice::name).toList();
    }

    /** Two on one factory address: the one that announced itself last gets what is sent there. */
    @ParameterizedTest
    @CsvSource({"5,a a a b b", "0,b b b b b"})
    void rivalsTakeTheAddressFromEachOther(int seconds, String holders) {
        Hall two =
                of(
                        TestJob.empty()
                                .device(1, "a", "ceiling-ptz", "10.44.8.21")
                                .device(2, "b", "ceiling-ptz", "10.44.8.22")
                                .file());
        two.announce(Duration.ofSeconds(seconds));
        two.moveLaptop(HOPPED);
        two.plug(new DeviceId(1), true, false);
        pass(3);
        two.plug(new DeviceId(2), true, false);
        pass(62);
        List<String> seen = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            seen.add(two.holder(FACTORY).orElseThrow().name());
            pass(1);
        }
        assertThat(String.join(" ", seen)).isEqualTo(holders);
        assertThat(answering(FACTORY)).hasSize(2);
        two.plug(new DeviceId(2), false, false);
        pass(60);
        assertThat(two.holder(FACTORY).orElseThrow().name()).isEqualTo("a");
    }

    /** What was sent to the one that has gone is lost until the next is heard, or time passes. */
    @ParameterizedTest
    @CsvSource({"0,40,false", "0,45,true", "5,3,false", "5,5,true"})
    void theLaptopsEntryOutlivesTheFirstDevice(int announced, int later, boolean heard) {
        Hall two =
                of(
                        TestJob.empty()
                                .device(1, "a", "serial-server-1", "10.44.8.21")
                                .device(2, "b", "serial-server-1", "10.44.8.22")
                                .file());
        Ipv4 factory = two.devices().get(0).settings().address();
        NetworkSettings home = two.laptop();
        NetworkSettings hopped = new NetworkSettings(factory.plus(100), 24, "");
        two.announce(Duration.ofSeconds(announced));
        two.plug(new DeviceId(1), true, false);
        pass(15);
        two.moveLaptop(hopped);
        assertThat(two.holder(factory).orElseThrow().name()).isEqualTo("a");
        two.moveLaptop(home);
        two.plug(new DeviceId(1), false, false);
        two.plug(new DeviceId(2), true, false);
        pass(16);
        two.moveLaptop(hopped);
        pass(later);
        assertThat(two.answering(factory)).extracting(RigDevice::name).containsExactly("b");
        assertThat(two.holder(factory).isPresent()).isEqualTo(heard);
    }

    /** A wrong entry moves the wrong camera; a wrong port or protocol none. */
    @Test
    void aKeyMovesWhatItsEntrySays() {
        asPlanned();
        Entry right = hall.entries(STICK).orElseThrow().of(2).orElseThrow();
        assertThat(right.address()).contains(Ipv4.parse("10.44.8.22"));
        assertMoves(2, L2);
        hall.entries(STICK)
                .orElseThrow()
                .enter(
                        2,
                        Optional.of(
                                new Entry(
                                        Optional.of(Ipv4.parse("10.44.8.21")),
                                        right.port(),
                                        right.protocol(),
                                        0,
                                        "L2")));
        assertMoves(2, L1);
        hall.entries(STICK)
                .orElseThrow()
                .enter(2, Optional.of(new Entry(right.address(), 1, right.protocol(), 0, "L2")));
        assertMoves(2, null);
    }

    private void assertMoves(int key, DeviceId wanted) {
        Sticks sticks = new Sticks(hall);
        Map<DeviceId, Instant> before = lastDrives();
        now.updateAndGet(t -> t.plusSeconds(1));
        sticks.press(STICK, key);
        sticks.stick(STICK, 0.5, 0);
        sticks.stick(STICK, 0, 0);
        List<DeviceId> moved =
                lastDrives().entrySet().stream()
                        .filter(e -> !e.getValue().equals(before.get(e.getKey())))
                        .map(Map.Entry::getKey)
                        .toList();
        assertThat(moved).isEqualTo(wanted == null ? List.of() : List.of(wanted));
    }

    private Map<DeviceId, Instant> lastDrives() {
        Map<DeviceId, Instant> all = new LinkedHashMap<>();
        hall.devices().forEach(d -> d.lastDrive().ifPresent(h -> all.put(d.plan().id(), h.at())));
        return all;
    }

    /** Everything is the same again from a snapshot, and from the same seed. */
    @Test
    void aSnapshotAndASeedGiveTheSameHall() {
        asPlanned();
        String before = Json.MAPPER.writeValueAsString(hall.state());
        String truth = Json.MAPPER.writeValueAsString(Truth.of(hall));
        new Faults(hall).seeded(7, 6);
        String spoiled = Json.MAPPER.writeValueAsString(hall.state());
        assertThat(spoiled).isNotEqualTo(before);
        hall.restore(Json.MAPPER.readValue(before, HallState.class));
        assertThat(Json.MAPPER.writeValueAsString(hall.state())).isEqualTo(before);
        assertThat(Json.MAPPER.writeValueAsString(Truth.of(hall))).isEqualTo(truth);
        new Faults(hall).seeded(7, 6);
        assertThat(Json.MAPPER.writeValueAsString(hall.state())).isEqualTo(spoiled);
    }

    /** But for the return picture, which the demo has none of: that is shown elsewhere. */
    @ParameterizedTest
    @EnumSource(value = Fault.class, mode = EnumSource.Mode.EXCLUDE, names = "NO_RETURN")
    void eachFaultCanBePutSomewhereAndShowsInTheTruth(Fault fault) {
        JsonNode file = TestJob.demo();
        of(file);
        asPlanned();
        String before = Json.MAPPER.writeValueAsString(hall.state());
        Faults faults = new Faults(hall);
        long target =
                LongStream.range(1, 200)
                        .filter(t -> can(faults, fault, t))
                        .findFirst()
                        .orElseThrow();
        assertThat(hall.faults()).extracting(Faults.Put::fault).containsExactly(fault);
        assertThat(hall.faults().get(0).target()).isEqualTo(target);
        assertThat(Json.MAPPER.writeValueAsString(hall.state())).isNotEqualTo(before);
        assertThat(Truth.of(hall).faults()).isEqualTo(hall.faults());
    }

    private static boolean can(Faults faults, Fault fault, long target) {
        try {
            faults.put(fault, target, new Random(1));
            return true;
        } catch (IllegalArgumentException notThere) {
            return false;
        }
    }

    @Test
    void aFollowedPlanKeepsWhatIsThereAndPlugsNothingNew() {
        asPlanned();
        var file = TestJob.demo();
        file.withArray("/devices").remove(0);
        for (String kind : List.of("runs", "lines", "mounts", "presets", "takes")) {
            var list = file.withArray("/" + kind);
            for (int i = list.size() - 1; i >= 0; i--) {
                JsonNode n = list.get(i);
                boolean of = n.path("camera").asLong() == 7;
                of |= n.path("from").asLong() == 7 || n.path("to").asLong() == 7;
                if (of) {
                    list.remove(i);
                }
            }
        }
        hall.follow(JobFile.read(file));
        assertThat(hall.device(L1)).isEmpty();
        assertThat(answering(Ipv4.parse("10.44.8.22"))).containsExactly("L2");
    }

    @Test
    void theHouseLendsTheLowestAddressOfItsPool() {
        hall.plug(new DeviceId(13), true, true);
        assertThat(hall.need(new DeviceId(13)).settings().address()).hasToString("10.44.8.100");
        hall.changeLease(new DeviceId(13), Ipv4.parse("10.44.8.150"));
        assertThat(hall.need(new DeviceId(13)).settings().address()).hasToString("10.44.8.150");
    }

    @Test
    void aPasswordNobodyNotedGoesWithAReset() {
        asPlanned();
        hall.strange(L1);
        assertThat(hall.need(L1).condition().signIns().strange()).isTrue();
        hall.hand(L1, new Hand.Reset(false));
        assertThat(hall.need(L1).condition().signIns().strange()).isFalse();
    }

    /** As the plan says that somebody stored them before; a saved hall keeps them. */
    @Test
    void viewsAreThereFromTheStartAndGoWithAReset() {
        assertThat(hall.need(L1).saved().presets()).containsOnlyKeys(0, 1, 2);
        assertThat(hall.need(L1).saved().presets().get(1).pan()).isEqualTo(35);
        asPlanned();
        pass(120);
        hall.answering(Ipv4.parse("10.44.8.21"));
        hall.hand(L1, new Hand.Reset(true));
        assertThat(hall.need(L1).saved().presets()).as("its network alone").hasSize(3);
        hall.hand(L1, new Hand.Reset(false));
        assertThat(hall.need(L1).saved().presets()).isEmpty();
    }
}
