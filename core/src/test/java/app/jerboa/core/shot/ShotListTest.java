package app.jerboa.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jerboa.core.shot.ShotList.Change;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShotListTest {
    /** 60 degrees a second, reached in half a second: 30 degrees take 1 s, 90 take 2 s. */
    private static final ShotCamera CAMERA = new ShotCamera(60, 120, 60, 120);

    private static ShotPreset preset(int camera, double pan, String subject) {
        return new ShotPreset(camera, pan, 0, subject);
    }

    private static final List<ShotPreset> PRESETS =
            List.of(
                    preset(0, 0, "house"),
                    preset(0, 30, "stone"),
                    preset(0, 120, "board"),
                    preset(1, 0, "stone"),
                    preset(1, 90, "board"));

    /** Takes as {@code preset@start}, each of two seconds at least. */
    private static ShotList list(String takes) {
        return new ShotList(
                List.of(CAMERA, CAMERA),
                PRESETS,
                Arrays.stream(takes.split(" ", -1))
                        .map(t -> t.split("@", -1))
                        .map(t -> new Take(Integer.parseInt(t[0]), Double.parseDouble(t[1]), 2))
                        .toList());
    }

    /** Travel by hand: d/v + v/a, or 2 sqrt(d/a) where it never reaches its speed. */
    @ParameterizedTest
    @CsvSource({
        // another camera is between: it has its 1.5 s, or lacks half a second of them
        "0@0 3@2 1@3.5, ''",
        "0@0 3@2 1@3, 2:0.5",
        // one after the other on the same camera: all of its way is missing
        "0@0 1@5, 1:1.5",
        // the same view again needs nothing, nor does a first take
        "0@0 0@1 3@1 0@1, ''",
        // 90 degrees from the board to the stone: 2 s and half a second
        "2@0 3@10 1@12.4, 2:0.1",
        "0@0 3@2 1@3.4999999999, ''"
    })
    void aCameraNeedsItsWayAndAMoment(String takes, String late) {
        List<ShotList.Late> found = list(takes).late();
        if (late.isEmpty()) {
            assertThat(found).isEmpty();
        } else {
            String[] parts = late.split(":", -1);
            assertThat(found).hasSize(1);
            assertThat(found.get(0).take()).isEqualTo(Integer.parseInt(parts[0]));
            assertThat(found.get(0).seconds())
                    .isCloseTo(Double.parseDouble(parts[1]), within(1e-6));
        }
    }

    @Test
    void theFewestChangesAndOfThoseTheEarliest() {
        assertThat(list("0@0 1@5").changes()).containsExactly(new Change(1, 3));
        assertThat(list("0@0 3@2 1@3.5").changes()).as("nothing is late").isEmpty();
        assertThat(list("0@0 0@1").changes()).isEmpty();
        // camera 0: stone then board; either could go to camera 1, the first is the earlier
        assertThat(list("1@0 2@1").changes()).containsExactly(new Change(0, 3));
        assertThat(
                        new ShotList(
                                        List.of(CAMERA),
                                        List.of(preset(0, 0, "a"), preset(0, 90, "b")),
                                        List.of(new Take(0, 0, 1), new Take(1, 1, 1)))
                                .changes())
                .as("no other view of either")
                .isEmpty();
    }

    /** A search as deep as the list is long would end the thread that opens its job. */
    @Test
    void aListOfAnyLengthIsToldButNotSearched() {
        List<Take> takes = new ArrayList<>();
        for (int i = 0; i < 50_000; i++) {
            takes.add(new Take(i % 2, i, 1));
        }
        ShotList list = new ShotList(List.of(CAMERA, CAMERA), PRESETS, takes);
        assertThat(list.late()).hasSize(49_999);
        assertThat(list.changes()).isEmpty();
    }

    @Test
    void takesOutOfOrderAreRefused() {
        assertThatThrownBy(() -> list("0@5 1@4")).isInstanceOf(IllegalArgumentException.class);
    }

    /** Every assignment there is, written apart: what is fewest, then earliest, then first. */
    private static List<Change> bruteForce(ShotList list) {
        int n = list.takes().size();
        List<Change> best = null;
        int[] chosen = new int[n];
        long all = 1;
        for (int i = 0; i < n; i++) {
            all *= list.presets().size();
        }
        for (long code = 0; code < all; code++) {
            long rest = code;
            for (int i = 0; i < n; i++) {
                chosen[i] = (int) (rest % list.presets().size());
                rest /= list.presets().size();
            }
            List<Change> changes = changes(list, chosen);
            if (changes != null && inTime(list, chosen) && better(changes, best)) {
                best = changes;
            }
        }
        return best == null ? List.of() : best;
    }

    private static List<Change> changes(ShotList list, int[] chosen) {
        List<Change> changes = new ArrayList<>();
        for (int i = 0; i < chosen.length; i++) {
            ShotPreset planned = list.presets().get(list.takes().get(i).preset());
            if (!list.presets().get(chosen[i]).subject().equals(planned.subject())) {
                return null;
            }
            if (chosen[i] != list.takes().get(i).preset()) {
                changes.add(new Change(i, chosen[i]));
            }
        }
        return changes;
    }

    private static boolean inTime(ShotList list, int[] chosen) {
        Map<Integer, Integer> last = new HashMap<>();
        for (int i = 0; i < chosen.length; i++) {
            ShotPreset to = list.presets().get(chosen[i]);
            Integer before = last.put(to.camera(), i);
            if (before != null && chosen[before] != chosen[i]) {
                ShotPreset from = list.presets().get(chosen[before]);
                double d =
                        Math.max(
                                Math.abs(to.pan() - from.pan()), Math.abs(to.tilt() - from.tilt()));
                double travel = d > 30 ? d / 60 + 0.5 : 2 * Math.sqrt(d / 120);
                double free = list.takes().get(i).start() - list.takes().get(before + 1).start();
                if (travel + 0.5 - free > 1e-9) {
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean better(List<Change> a, List<Change> b) {
        if (b == null || a.size() != b.size()) {
            return b == null || a.size() < b.size();
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i).take() != b.get(i).take()) {
                return a.get(i).take() < b.get(i).take();
            }
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i).preset() != b.get(i).preset()) {
                return a.get(i).preset() < b.get(i).preset();
            }
        }
        return false;
    }

    private static ShotList random(
            Random random, int takes, int cameras, int presets, double slow) {
        List<ShotPreset> all = new ArrayList<>();
        for (int i = 0; i < presets; i++) {
            all.add(
                    new ShotPreset(
                            random.nextInt(cameras),
                            random.nextInt(120),
                            random.nextInt(40),
                            "s" + random.nextInt(3)));
        }
        List<Take> list = new ArrayList<>();
        double start = 0;
        for (int i = 0; i < takes; i++) {
            list.add(new Take(random.nextInt(presets), start, 1));
            start += random.nextInt(9) / 4.0 * slow;
        }
        return new ShotList(Collections.nCopies(cameras, CAMERA), all, list);
    }

    @Test
    void bruteForceFindsTheSame() {
        Random random = new Random(7);
        int offered = 0;
        for (int i = 0; i < 120; i++) {
            ShotList list = random(random, 2 + random.nextInt(6), 1 + random.nextInt(4), 6, 1);
            List<Change> changes = list.changes();
            assertThat(changes).as("%s", list.takes()).isEqualTo(bruteForce(list));
            offered += changes.isEmpty() ? 0 : 1;
        }
        assertThat(offered).isGreaterThan(25);
    }

    /** Of lists that no brute force could finish: what is offered has nothing late. */
    @Test
    void whatIsOfferedHasNothingLate() {
        Random random = new Random(8);
        int helped = 0;
        for (int i = 0; i < 40; i++) {
            ShotList list = random(random, 40, 6, 30, 2);
            List<Take> after = new ArrayList<>(list.takes());
            list.changes()
                    .forEach(
                            c -> {
                                Take t = after.get(c.take());
                                after.set(c.take(), new Take(c.preset(), t.start(), t.seconds()));
                            });
            boolean offered = !after.equals(list.takes());
            ShotList changed = new ShotList(Collections.nCopies(6, CAMERA), list.presets(), after);
            assertThat(!offered || changed.late().isEmpty()).isTrue();
            helped += offered ? 1 : 0;
        }
        assertThat(helped).isGreaterThan(10);
    }
}
