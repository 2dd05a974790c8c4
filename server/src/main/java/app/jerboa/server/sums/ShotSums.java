package app.jerboa.server.sums;

import static app.jerboa.server.sums.SumCheck.between;
import static app.jerboa.server.sums.SumCheck.impossible;
import static app.jerboa.server.sums.SumCheck.insist;
import static app.jerboa.server.sums.SumCheck.needed;
import static app.jerboa.server.sums.SumCheck.positive;

import app.jerboa.core.shot.ShotCamera;
import app.jerboa.core.shot.ShotList;
import app.jerboa.core.shot.ShotPreset;
import app.jerboa.core.shot.Take;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether the cameras of a shot list can be where they are wanted in time. */
@RestController
@RequestMapping("/api/sums")
class ShotSums {
    private static final int MOST_CAMERAS = 128;
    private static final int MOST_PRESETS = 1_000;
    private static final int MOST_TAKES = 200;
    private static final double MOST_DEGREES = 36_000;
    private static final double MOST_SPEED = 10_000;
    private static final double MOST_SECONDS = 1_000_000;

    /** Degrees a second, and degrees a second squared. */
    static final class AxisIn {
        public Double top;
        public Double accel;
    }

    /** Ids are numbers or texts; an answer has them as they came. */
    static final class ShotCameraIn {
        public Object id;
        public AxisIn pan;
        public AxisIn tilt;
    }

    /** Without a subject there is no other view of the same. */
    static final class ShotPresetIn {
        public Object camera;
        public Object id;
        public Double pan;
        public Double tilt;
        public String subject;
    }

    static final class TakeIn {
        public Object camera;
        public Object preset;
        public Double start;
        public Double seconds;
    }

    static final class ShotListIn {
        public List<ShotCameraIn> cameras;
        public List<ShotPresetIn> presets;
        public List<TakeIn> takes;
    }

    /** A take, from 0, and by how many seconds its camera is late. */
    record LateTake(int take, double seconds) {}

    record ChangedTake(int take, Object camera, Object preset) {}

    record ShotListOut(boolean works, List<LateTake> late, List<ChangedTake> changes) {}

    @PostMapping("/shot-list")
    ShotListOut shotList(@RequestBody ShotListIn in) {
        Given given = new Given();
        few("cameras", in.cameras, MOST_CAMERAS).forEach(given::camera);
        few("presets", in.presets, MOST_PRESETS).forEach(given::preset);
        few("takes", in.takes, MOST_TAKES).forEach(given::take);
        ShotList list = new ShotList(given.cameras, given.presets, given.takes);
        List<LateTake> late =
                list.late().stream().map(l -> new LateTake(l.take(), l.seconds())).toList();
        List<ChangedTake> changes =
                list.changes().stream()
                        .map(c -> new ChangedTake(c.take(), cameraOf(in, c), presetOf(in, c)))
                        .toList();
        return new ShotListOut(late.isEmpty(), late, changes);
    }

    private static Object cameraOf(ShotListIn in, ShotList.Change c) {
        return in.presets.get(c.preset()).camera;
    }

    private static Object presetOf(ShotListIn in, ShotList.Change c) {
        return in.presets.get(c.preset()).id;
    }

    private static <T> List<T> few(String field, List<T> given, int most) {
        List<T> all = needed(field, given);
        insist(field, all.size() <= most, "at most " + most);
        insist(field, all.stream().allMatch(t -> t != null), "given");
        return all;
    }

    /** What came, by place instead of by id. */
    private static final class Given {
        private final Map<String, Integer> cameraAt = new LinkedHashMap<>();
        private final Map<String, Integer> presetAt = new LinkedHashMap<>();
        private final List<ShotCamera> cameras = new ArrayList<>();
        private final List<ShotPreset> presets = new ArrayList<>();
        private final List<Take> takes = new ArrayList<>();

        void camera(ShotCameraIn in) {
            insist("cameras", cameraAt.put(id("id", in.id), cameras.size()) == null, "each once");
            AxisIn pan = needed("pan", in.pan);
            AxisIn tilt = needed("tilt", in.tilt);
            cameras.add(
                    new ShotCamera(
                            positive("pan.top", needed("pan.top", pan.top), MOST_SPEED),
                            positive("pan.accel", needed("pan.accel", pan.accel), MOST_SPEED),
                            positive("tilt.top", needed("tilt.top", tilt.top), MOST_SPEED),
                            positive("tilt.accel", needed("tilt.accel", tilt.accel), MOST_SPEED)));
        }

        void preset(ShotPresetIn in) {
            int at = presets.size();
            String key = id("camera", in.camera) + "\n" + id("id", in.id);
            insist("presets", presetAt.put(key, at) == null, "each once");
            presets.add(
                    new ShotPreset(
                            at(cameraAt, "camera", id("camera", in.camera)),
                            degrees("pan", in.pan),
                            degrees("tilt", in.tilt),
                            in.subject == null ? "\n" + at : in.subject));
        }

        void take(TakeIn in) {
            String key = id("camera", in.camera) + "\n" + id("preset", in.preset);
            double start = between("start", needed("start", in.start), -MOST_SECONDS, MOST_SECONDS);
            boolean inOrder = takes.isEmpty() || takes.get(takes.size() - 1).start() <= start;
            insist("start", inOrder, "no earlier than that of the take before");
            takes.add(
                    new Take(
                            at(presetAt, "preset", key),
                            start,
                            between("seconds", needed("seconds", in.seconds), 0, MOST_SECONDS)));
        }

        private static double degrees(String field, Double given) {
            return between(field, needed(field, given), -MOST_DEGREES, MOST_DEGREES);
        }

        private static String id(String field, Object given) {
            insist(field, given instanceof String || given instanceof Number, "a number or a text");
            return given.toString();
        }

        private static int at(Map<String, Integer> known, String field, String key) {
            Integer at = known.get(key);
            if (at == null) {
                throw impossible(field, "there is none of that id");
            }
            return at;
        }
    }
}
