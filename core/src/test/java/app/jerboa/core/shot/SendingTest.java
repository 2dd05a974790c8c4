package app.jerboa.core.shot;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SendingTest {
    /** 60 degrees a second, reached in half a second: 30 degrees take 1 s, and half to settle. */
    private static final ShotCamera CAMERA = new ShotCamera(60, 120, 60, 120);

    private static final List<ShotPreset> PRESETS =
            List.of(
                    new ShotPreset(0, 0, 0, "house"),
                    new ShotPreset(0, 30, 0, "stone"),
                    new ShotPreset(1, 0, 0, "board"),
                    new ShotPreset(1, 30, 0, "crowd"),
                    ShotPreset.unknown(2, "by hand"));

    private static ShotList list(String takes) {
        return new ShotList(
                Collections.nCopies(3, CAMERA),
                PRESETS,
                Arrays.stream(takes.split(" ", -1))
                        .map(t -> t.split("@", -1))
                        .map(t -> new Take(Integer.parseInt(t[0]), Double.parseDouble(t[1]), 2))
                        .toList());
    }

    /**
     * Where cameras stand as {@code camera=preset}; answers {@code take:needed/free}, with a mark
     * where the time is not enough.
     */
    @ParameterizedTest
    @CsvSource({
        // before it begins every camera may go to its first view, whatever time that takes
        "0@0 2@4 1@8, -1, 0, 0, '', 0:0.0/Infinity 1:0.0/Infinity",
        "0@0 2@4 1@8, -1, 0, 0, 0=0 1=3, 1:1.5/Infinity",
        // camera 0 is on air; nobody knows where camera 1 stands
        "0@0 2@4 1@8, 0, 1, 1, '', 1:0.0/3.0",
        // camera 0 left air and has 4 s for its 1.5
        "0@0 2@4 1@8, 1, 2, 0, 0=0, 2:1.5/4.0",
        "0@0 2@4 1@8, 1, 2, 3, 0=0, 2:1.5/1.0!",
        // what is lingered on is taken off the time of the next
        "0@0 2@4 1@5, 1, 2, 0, 0=0, 2:1.5/1.0!",
        // the first take again, which then has its planned 4 s: camera 1 stands where it should
        "0@0 2@4 1@8, 0, 1, 0, 0=0 1=2, ''",
        // the second take is skipped: the third comes when the second would have
        "0@0 2@4 3@8 1@12, 0, 2, 1, 1=2, 2:1.5/3.0",
        // it stands there already
        "0@0 2@4 0@8, 1, 2, 0, 0=0, ''",
        // nobody knows where a free take leaves it, and it is not sent to one
        "0@0 4@4 1@8 4@12, 2, 3, 0, '', ''",
        "0@0 2@4, 1, 2, 0, '', ''",
    })
    void whoIsSentWhere(String takes, int at, int next, double elapsed, String where, String sent) {
        Map<Integer, Integer> standing = new HashMap<>();
        Arrays.stream(where.split(" ", -1))
                .filter(w -> !w.isEmpty())
                .map(w -> w.split("=", -1))
                .forEach(w -> standing.put(Integer.valueOf(w[0]), Integer.valueOf(w[1])));
        Sending.Now now = new Sending.Now(at, next, elapsed, standing);
        assertThat(
                        Sending.of(list(takes), now).stream()
                                .map(
                                        s ->
                                                s.take()
                                                        + ":"
                                                        + s.needed()
                                                        + "/"
                                                        + s.free()
                                                        + (s.inTime() ? "" : "!"))
                                .collect(Collectors.joining(" ")))
                .isEqualTo(sent);
    }

    /**
     * A list in which nothing is late, run to its times: every camera that is sent in the moment in
     * which it leaves air has time, no camera on air is sent, and each is where its take wants it.
     */
    @Test
    void aListThatIsPossibleCanBeRun() {
        Random random = new Random(3);
        int possible = 0;
        for (int i = 0; i < 400; i++) {
            ShotList list = any(random);
            if (list.late().isEmpty()) {
                possible++;
                run(list);
            }
        }
        assertThat(possible).isGreaterThan(60);
    }

    private static void run(ShotList list) {
        Map<Integer, Integer> at = new HashMap<>();
        Sending.of(list, new Sending.Now(Sending.NOT_BEGUN, 0, 0, at))
                .forEach(s -> go(list, at, s));
        for (int t = 0; t < list.takes().size(); t++) {
            int wanted = list.takes().get(t).preset();
            int camera = list.presets().get(wanted).camera();
            assertThat(at).as("take %d of %s", t, list.takes()).containsEntry(camera, wanted);
            for (Sending s : Sending.of(list, new Sending.Now(t, t + 1, 0, at))) {
                assertThat(list.camera(s.take())).as("on air").isNotEqualTo(camera);
                assertThat(s.inTime()).as("%s of %s", s, list.takes()).isTrue();
                go(list, at, s);
            }
        }
    }

    private static void go(ShotList list, Map<Integer, Integer> at, Sending s) {
        at.put(list.camera(s.take()), list.takes().get(s.take()).preset());
    }

    private static ShotList any(Random random) {
        List<ShotPreset> presets = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            presets.add(new ShotPreset(i % 3, random.nextInt(120), random.nextInt(40), "s" + i));
        }
        List<Take> takes = new ArrayList<>();
        double start = 0;
        for (int i = 0; i < 2 + random.nextInt(8); i++) {
            takes.add(new Take(random.nextInt(8), start, 1));
            start += 1 + random.nextInt(12) / 2.0;
        }
        return new ShotList(Collections.nCopies(3, CAMERA), presets, takes);
    }
}
