package app.jerboa.standin.lan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.WorldClock;
import app.jerboa.standin.Rig;
import app.jerboa.standin.TestJob;
import app.jerboa.standin.device.SimulatedHead;
import app.jerboa.standin.fault.Faults;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Whatever is put wrong in a hall: what moves when a key is used is what its truth says, for the
 * octets go another way than the truth is worked out.
 */
class SeedsTest {
    private static final Instant START = Instant.parse("2030-01-01T10:00:00Z");
    private static final int SEEDS = 100;
    private static final int FAULTS = 5;

    private final AtomicReference<Instant> now = new AtomicReference<>(START);
    private final Rig rig = new Rig(now::get, new WorldClock(START, START, 1));
    private final Hall hall = rig.furnish("1", fast());
    private final Sticks sticks = new Sticks(hall);

    /** The demo with its chain at four times its rate: octets take their real time on it. */
    private static JsonNode fast() {
        JsonNode file = TestJob.demo();
        for (JsonNode d : file.get("devices")) {
            long id = d.get("id").asLong();
            if (id >= 16 && id <= 18 || id == 22) {
                ((ObjectNode) d).put("baud", 38_400);
            }
        }
        return file;
    }

    @Test
    void aHallNeverContradictsItsTruth() {
        Set<String> kinds = new HashSet<>();
        int moved = 0;
        int dead = 0;
        for (int seed = 1; seed <= SEEDS; seed++) {
            hall.begin("as-planned");
            pass(300);
            for (Faults.Put put : new Faults(hall).seeded(seed, FAULTS)) {
                kinds.add(put.fault().toString());
            }
            pass(200);
            for (Truth.OfKey key : Truth.of(hall).keys()) {
                Set<Long> moves = used(seed, key.controller(), key.key());
                moved += moves.size();
                dead += moves.isEmpty() ? 1 : 0;
            }
        }
        hall.close();
        assertThat(kinds).as("most kinds came").hasSizeGreaterThan(15);
        assertThat(moved).as("keys that moved something").isGreaterThan(SEEDS * 5);
        assertThat(dead).as("keys that moved nothing").isGreaterThan(SEEDS);
    }

    private void pass(int seconds) {
        now.updateAndGet(t -> t.plusSeconds(seconds));
        hall.settle();
    }

    private Set<Long> used(int seed, long controller, int key) {
        DeviceId id = new DeviceId(controller);
        boolean panel = hall.need(id).profile().turns().size() > 0;
        Set<Long> said = truth(controller, key);
        if (panel || hall.need(id).phase() != RigDevice.Phase.UP) {
            return said;
        }
        Map<Long, Instant> before = heard();
        sticks.press(id, key);
        sticks.stick(id, 0.4, 0);
        quiet();
        Map<Long, Instant> after = heard();
        sticks.stick(id, 0, 0);
        quiet();
        Set<Long> moved = new LinkedHashSet<>();
        after.forEach(
                (d, at) -> {
                    if (!at.equals(before.get(d))) {
                        moved.add(d);
                    }
                });
        List<Faults.Put> faults = hall.faults();
        assertThat(moved)
                .as("seed %d, key %d of %s, %s", seed, key, hall.need(id).name(), faults)
                .isEqualTo(said);
        return moved;
    }

    /** Octets take their time on a lead: it is waited for what is under way, and no longer. */
    private void quiet() {
        if (!hall.quiet()) {
            await().atMost(Duration.ofSeconds(5))
                    .pollDelay(Duration.ZERO)
                    .pollInterval(Duration.ofMillis(2))
                    .until(hall::quiet);
        }
    }

    /** As the truth has it of one key. */
    private Set<Long> truth(long controller, int key) {
        return sticks.moves(new DeviceId(controller), key).stream()
                .map(DeviceId::value)
                .collect(Collectors.toSet());
    }

    private Map<Long, Instant> heard() {
        return hall.devices().stream()
                .filter(d -> d.lastDrive().isPresent())
                .collect(
                        Collectors.toMap(
                                d -> d.plan().id().value(),
                                d -> d.lastDrive().map(SimulatedHead.Heard::at).orElseThrow()));
    }
}
