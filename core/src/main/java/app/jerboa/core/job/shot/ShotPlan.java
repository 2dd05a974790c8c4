package app.jerboa.core.job.shot;

import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.Parts;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.PlannedShots;
import app.jerboa.core.job.PlannedTake;
import app.jerboa.core.job.Preset;
import app.jerboa.core.motion.SoftLimits;
import app.jerboa.core.profile.Head;
import app.jerboa.core.shot.ShotCamera;
import app.jerboa.core.shot.ShotList;
import app.jerboa.core.shot.ShotPreset;
import app.jerboa.core.shot.Take;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * One shot list with the time that its cameras need. Head speeds are those of the profiles, the
 * fastest of each axis; a profile without an acceleration is taken for a slow one.
 */
public final class ShotPlan {
    static final Parts READS =
            Parts.of(ItemKind.DEVICE, ItemKind.PRESET, ItemKind.SHOT_LIST, ItemKind.TAKE);

    private static final double HUNDREDTHS = 100;

    /**
     * A take of the list.
     *
     * @param preset that its camera keeps under its number; empty for a free one, and for a number
     *     under which nothing is kept
     * @param until when it leaves air, in seconds from the beginning
     * @param leg the way of its camera from its take before; empty for its first take
     */
    public record Planned(
            PlannedTake take, Optional<Preset> preset, double until, Optional<ShotList.Leg> leg) {
        /** How long the way is cannot be said. */
        public boolean unknown() {
            return preset.isEmpty()
                    || preset.get().kept().pan().isEmpty()
                    || preset.get().kept().tilt().isEmpty();
        }
    }

    /** A take that is to show another view of the same subject. */
    public record Change(PlannedTake take, Preset to) {}

    private final PlannedShots shots;
    private final ShotList list;
    private final List<Planned> takes;
    private final List<Change> changes;
    private final Map<String, Integer> views;

    private ShotPlan(
            PlannedShots shots,
            ShotList list,
            List<Planned> takes,
            List<Change> changes,
            Map<String, Integer> views) {
        this.views = Map.copyOf(views);
        this.shots = shots;
        this.list = list;
        this.takes = List.copyOf(takes);
        this.changes = List.copyOf(changes);
    }

    public PlannedShots shots() {
        return shots;
    }

    /** Its takes by the same places as {@link #takes()}. */
    public ShotList list() {
        return list;
    }

    /** In order of start. */
    public List<Planned> takes() {
        return takes;
    }

    /** The fewest after which nothing is late; empty when nothing is, or none helps. */
    public List<Change> changes() {
        return changes;
    }

    /** One for each shot list, in the order in which they came. */
    public static List<ShotPlan> of(Job job) {
        return job.workedAfter(
                        ShotPlan.class,
                        READS,
                        Plans.class,
                        before ->
                                new Making(job, before.map(Plans::answers).orElse(Map.of())).all())
                .plans();
    }

    /**
     * What was looked for, and what came of it: a list that stayed the same is not searched again.
     */
    private record Asked(List<ShotCamera> cameras, List<ShotPreset> presets, List<Take> takes) {}

    private record Plans(List<ShotPlan> plans, Map<Asked, List<ShotList.Change>> answers) {}

    private static final class Making {
        private final Job job;
        private final KitIndex kit;
        private final Map<Asked, List<ShotList.Change>> known;
        private final Map<Asked, List<ShotList.Change>> answers = new HashMap<>();
        private final Map<DeviceId, Integer> cameraAt = new LinkedHashMap<>();
        private final List<ShotCamera> cameras = new ArrayList<>();
        private final List<ShotPreset> presets = new ArrayList<>();
        private final Map<String, Integer> presetAt = new HashMap<>();

        Making(Job job, Map<Asked, List<ShotList.Change>> known) {
            this.job = job;
            this.kit = KitIndex.of(job);
            this.known = known;
            job.presets().forEach(this::preset);
        }

        Plans all() {
            Map<Long, List<PlannedTake>> of =
                    job.takes().stream().collect(Collectors.groupingBy(PlannedTake::list));
            List<ShotPlan> plans =
                    job.shotLists().stream()
                            .map(s -> plan(s, of.getOrDefault(s.id(), List.of())))
                            .toList();
            return new Plans(plans, answers);
        }

        private int camera(DeviceId id) {
            return cameraAt.computeIfAbsent(
                    id,
                    c -> {
                        cameras.add(speeds(kit.device(c)));
                        return cameras.size() - 1;
                    });
        }

        /** One without a head stands where it is: it is as fast as can be. */
        private static ShotCamera speeds(Device camera) {
            Optional<Head> head = camera.profile().head();
            if (head.isEmpty()) {
                return new ShotCamera(
                        Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE);
            }
            double gathers = head.get().acceleration().orElse(SoftLimits.USUAL_BRAKING);
            return new ShotCamera(
                    head.get().pan().fastest(), gathers, head.get().tilt().fastest(), gathers);
        }

        /** Of two under one number the first counts. */
        private void preset(Preset p) {
            int at = presets.size();
            presets.add(view(p, at));
            presetAt.putIfAbsent(key(p.camera(), p.number()), at);
        }

        private ShotPreset view(Preset p, int at) {
            String subject =
                    p.shows().isBlank() ? "\n" + at : p.shows().strip().toLowerCase(Locale.ROOT);
            int camera = camera(p.camera());
            return p.kept().pan().isPresent() && p.kept().tilt().isPresent()
                    ? new ShotPreset(
                            camera,
                            p.kept().pan().getAsInt() / HUNDREDTHS,
                            p.kept().tilt().getAsInt() / HUNDREDTHS,
                            subject)
                    : ShotPreset.unknown(camera, subject);
        }

        private static String key(DeviceId camera, int number) {
            return camera + " " + number;
        }

        private Optional<Integer> presetOf(PlannedTake t) {
            return t.preset().isEmpty()
                    ? Optional.empty()
                    : Optional.ofNullable(presetAt.get(key(t.camera(), t.preset().getAsInt())));
        }

        private ShotPlan plan(PlannedShots shots, List<PlannedTake> planned) {
            List<ShotPreset> views = new ArrayList<>(presets);
            List<Take> takes = new ArrayList<>();
            for (PlannedTake t : planned) {
                int at =
                        presetOf(t)
                                .orElseGet(
                                        () -> {
                                            views.add(
                                                    ShotPreset.unknown(
                                                            camera(t.camera()),
                                                            "\n" + views.size()));
                                            return views.size() - 1;
                                        });
                takes.add(new Take(at, t.start(), t.length()));
            }
            ShotList list = new ShotList(cameras, views, takes);
            Asked asked = new Asked(List.copyOf(cameras), List.copyOf(views), takes);
            List<ShotList.Change> changes =
                    known.containsKey(asked) ? known.get(asked) : list.changes();
            answers.put(asked, changes);
            return new ShotPlan(
                    shots, list, takes(list, planned), changes(planned, changes), presetAt);
        }

        private List<Planned> takes(ShotList list, List<PlannedTake> planned) {
            Map<Integer, ShotList.Leg> legs =
                    list.legs().stream().collect(Collectors.toMap(ShotList.Leg::take, l -> l));
            List<Planned> all = new ArrayList<>();
            for (int i = 0; i < planned.size(); i++) {
                PlannedTake t = planned.get(i);
                all.add(
                        new Planned(
                                t,
                                presetOf(t).map(p -> job.presets().get(p)),
                                list.end(i),
                                Optional.ofNullable(legs.get(i))));
            }
            return all;
        }

        private List<Change> changes(List<PlannedTake> planned, List<ShotList.Change> changes) {
            return changes.stream()
                    .map(c -> new Change(planned.get(c.take()), job.presets().get(c.preset())))
                    .toList();
        }
    }

    /** By its place in {@link ShotList#presets()}; empty where the camera keeps none so. */
    public Optional<Integer> viewOf(DeviceId camera, int number) {
        return Optional.ofNullable(views.get(Making.key(camera, number)));
    }

    /** Of a take of this list, from 1. */
    public int number(PlannedTake take) {
        for (int i = 0; i < takes.size(); i++) {
            if (takes.get(i).take().equals(take)) {
                return i + 1;
            }
        }
        throw new IllegalArgumentException(take.ref() + " is no take of " + shots.name());
    }

    /** Seconds by which a take is late; empty when it is not. */
    public OptionalDouble late(Planned take) {
        return take.leg()
                .filter(ShotList.Leg::late)
                .map(l -> OptionalDouble.of(l.missing()))
                .orElse(OptionalDouble.empty());
    }
}
