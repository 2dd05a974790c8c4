package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Cameras whose addresses hang together because controllers count through them: one controller's
 * run, or several runs that share cameras and so can only move as one.
 *
 * @param spots in the order of their offsets from the pattern's start, none below 0 or twice
 * @param windows offsets that must share all but the last octet
 */
record RunPattern(List<Spot> spots, List<Window> windows) {
    /** One camera's place. */
    record Spot(int offset, DeviceId camera) {}

    /** From the lowest to the highest offset, both included. */
    record Window(int low, int high) {}

    RunPattern {
        spots = spots.stream().sorted(Comparator.comparingInt(Spot::offset)).toList();
        windows = List.copyOf(windows);
    }

    /**
     * Runs joined where they share cameras. Where two cannot both be followed, the later one starts
     * a pattern of its own with the cameras that are left; {@link CountingRunCheck} tells of it.
     */
    static List<RunPattern> of(List<CountingRun> runs) {
        Map<DeviceId, List<CountingRun>> byCamera = new HashMap<>();
        for (CountingRun run : runs) {
            run.cameras()
                    .forEach(
                            k ->
                                    byCamera.computeIfAbsent(k.camera(), c -> new ArrayList<>(1))
                                            .add(run));
        }
        List<RunPattern> patterns = new ArrayList<>();
        Set<DeviceId> taken = new HashSet<>();
        Set<DeviceId> followed = new HashSet<>();
        for (CountingRun run : runs) {
            if (!followed.contains(run.controller())) {
                RunPattern pattern = joined(run, byCamera, taken, followed);
                if (!pattern.spots().isEmpty()) {
                    patterns.add(pattern);
                }
            }
        }
        return patterns;
    }

    private static RunPattern joined(
            CountingRun first,
            Map<DeviceId, List<CountingRun>> byCamera,
            Set<DeviceId> taken,
            Set<DeviceId> followed) {
        Map<DeviceId, Integer> offsets = new LinkedHashMap<>();
        Set<Integer> used = new HashSet<>();
        List<Window> windows = new ArrayList<>();
        Deque<CountingRun> next = new ArrayDeque<>(List.of(first));
        while (!next.isEmpty()) {
            CountingRun run = next.removeFirst();
            OptionalInt shift =
                    offsets.isEmpty() ? OptionalInt.of(0) : shift(run, offsets, used, taken);
            if (followed.contains(run.controller()) || shift.isEmpty()) {
                continue;
            }
            followed.add(run.controller());
            int by = shift.getAsInt();
            for (CountingRun.Keyed k : run.cameras()) {
                if (!taken.contains(k.camera()) || offsets.containsKey(k.camera())) {
                    offsets.put(k.camera(), run.offset(k) + by);
                    used.add(run.offset(k) + by);
                    taken.add(k.camera());
                    next.addAll(byCamera.get(k.camera()));
                }
            }
            if (run.lastOctetOnly()) {
                windows.add(window(run, by));
            }
        }
        return normal(offsets, windows);
    }

    private static Window window(CountingRun run, int by) {
        List<CountingRun.Keyed> cameras = run.cameras();
        return new Window(
                run.offset(cameras.get(0)) + by, run.offset(cameras.get(cameras.size() - 1)) + by);
    }

    /**
     * By how much a run's offsets differ from the pattern's; empty when not one number does for all
     * the cameras they share, or when it would put two cameras on one place.
     */
    private static OptionalInt shift(
            CountingRun run,
            Map<DeviceId, Integer> offsets,
            Set<Integer> used,
            Set<DeviceId> taken) {
        Set<Integer> shifts = new HashSet<>();
        for (CountingRun.Keyed k : run.cameras()) {
            if (offsets.containsKey(k.camera())) {
                shifts.add(offsets.get(k.camera()) - run.offset(k));
            }
        }
        if (shifts.size() != 1) {
            return OptionalInt.empty();
        }
        int by = shifts.iterator().next();
        boolean clear =
                run.cameras().stream()
                        .filter(k -> !offsets.containsKey(k.camera()))
                        .noneMatch(
                                k ->
                                        taken.contains(k.camera())
                                                || used.contains(run.offset(k) + by));
        return clear ? OptionalInt.of(by) : OptionalInt.empty();
    }

    private static RunPattern normal(Map<DeviceId, Integer> offsets, List<Window> windows) {
        int least = offsets.values().stream().mapToInt(Integer::intValue).min().orElse(0);
        return new RunPattern(
                offsets.entrySet().stream()
                        .map(e -> new Spot(e.getValue() - least, e.getKey()))
                        .toList(),
                windows.stream().map(w -> new Window(w.low() - least, w.high() - least)).toList());
    }

    int highest() {
        return spots.get(spots.size() - 1).offset();
    }
}
