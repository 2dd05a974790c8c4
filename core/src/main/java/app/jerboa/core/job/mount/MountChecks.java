package app.jerboa.core.job.mount;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.KitIndex;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Mount;
import app.jerboa.core.job.Naming;
import app.jerboa.core.profile.Head;
import app.jerboa.core.profile.Sort;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;

/** Is every camera held, balanced and free to turn? */
public final class MountChecks {
    private final KitIndex kit;
    private final int factor;
    private final List<Finding> found = new ArrayList<>();

    private MountChecks(Job job) {
        kit = KitIndex.of(job);
        factor = job.site().habits().fixingFactor();
    }

    /** O(n) in lines and what is fitted to their cameras. */
    public static List<Finding> check(Job job) {
        MountChecks checks = new MountChecks(job);
        List<DeviceId> unplaced = new ArrayList<>();
        List<DeviceId> inverted = new ArrayList<>();
        for (Line line : job.lines()) {
            Device camera = checks.kit.device(line.camera());
            Optional<Mount> mount = checks.kit.mount(camera.id());
            checks.camera(camera, mount);
            if (mount.filter(Mount::inverted).isPresent()) {
                inverted.add(camera.id());
            }
            boolean moves = camera.profile().head().isPresent();
            if (moves && mount.map(Mount::place).orElse("").isEmpty()) {
                unplaced.add(camera.id());
            }
        }
        checks.several(MountCodes.PLACE, unplaced, Field.PLACE);
        checks.several(MountCodes.INVERTED, inverted, Field.INVERTED);
        return checks.found;
    }

    private void several(FindingCode code, List<DeviceId> cameras, Field field) {
        if (!cameras.isEmpty()) {
            String shown = Naming.list(cameras.stream().map(c -> kit.device(c).name()).toList());
            found.add(Finding.of(code, cameras, field, Map.of("devices", shown)));
        }
    }

    private void camera(Device camera, Optional<Mount> mount) {
        HeadLoad load = HeadLoad.of(camera, kit);
        load(camera, load);
        balance(camera, load);
        mount.filter(Mount::overhead).ifPresent(m -> overhead(camera, m, load));
        turning(camera, mount);
        boolean gimbal = camera.profile().sort() == Sort.GIMBAL_CAMERA;
        Optional<Mount.Gimbal> settings = mount.map(Mount::gimbal);
        if (gimbal
                && settings.filter(g -> !g.busSwitch().isEmpty() && !g.follow().isEmpty())
                        .isEmpty()) {
            add(MountCodes.GIMBAL, camera, Field.BUS_SWITCH, Map.of());
        }
    }

    private void load(Device camera, HeadLoad load) {
        OptionalDouble payload =
                camera.profile().head().map(Head::payloadKg).orElse(OptionalDouble.empty());
        if (payload.isPresent() && load.carriedKg() > payload.getAsDouble()) {
            add(
                    MountCodes.LOAD,
                    camera,
                    Field.FITTED,
                    Map.of(
                            "what", "payload",
                            "load", number(load.carriedKg()),
                            "rating", number(payload.getAsDouble())));
        }
        OptionalDouble torque =
                camera.profile().head().map(Head::torqueNm).orElse(OptionalDouble.empty());
        if (torque.isPresent() && load.torqueNm().isPresent()) {
            double wanted = load.torqueNm().getAsDouble() * HeadLoad.TORQUE_FACTOR;
            if (wanted > torque.getAsDouble()) {
                add(
                        MountCodes.LOAD,
                        camera,
                        Field.ALONG,
                        Map.of(
                                "what", "torque",
                                "load", number(load.torqueNm().getAsDouble()),
                                "rating", number(torque.getAsDouble())));
            }
        }
    }

    private void balance(Device camera, HeadLoad load) {
        if (load.normal().isEmpty() || load.travelMm().isEmpty()) {
            return;
        }
        boolean normal = load.normal().get().withinTravel();
        boolean zoomed = load.zoomed().map(Balance::withinTravel).orElse(true);
        boolean half = load.lengthens() && load.zoomed().isEmpty();
        if (!normal || !zoomed || half) {
            Balance worse =
                    load.zoomed()
                            .filter(z -> Math.abs(z.shiftMm()) > shift(load))
                            .orElse(load.normal().get());
            add(
                    MountCodes.BALANCE,
                    camera,
                    Field.ALONG,
                    Map.of(
                            "what",
                            normal && zoomed ? "half" : "travel",
                            "shift",
                            number(Math.abs(worse.shiftMm())),
                            "way",
                            worse.shiftMm() < 0 ? "back" : "forward",
                            "travel",
                            Integer.toString(load.travelMm().getAsInt())));
        }
    }

    private static double shift(HeadLoad load) {
        return Math.abs(load.normal().orElseThrow().shiftMm());
    }

    private void overhead(Device camera, Mount mount, HeadLoad load) {
        if (mount.fixingKg().isEmpty() || !mount.bond()) {
            add(
                    MountCodes.BOND,
                    camera,
                    Field.BOND,
                    Map.of(
                            "what",
                            mount.fixingKg().isPresent()
                                    ? "bond"
                                    : mount.bond() ? "rating" : "both",
                            "place",
                            mount.place()));
        }
        OptionalInt fixing = mount.fixingKg();
        if (fixing.isPresent() && load.hungKg() * factor > fixing.getAsInt()) {
            add(
                    MountCodes.LOAD,
                    camera,
                    Field.FIXING,
                    Map.of(
                            "what", "fixing",
                            "load", number(load.hungKg()),
                            "factor", Integer.toString(factor),
                            "needed", number(load.hungKg() * factor),
                            "rating", Integer.toString(fixing.getAsInt())));
        }
    }

    private void turning(Device camera, Optional<Mount> mount) {
        OptionalDouble turns = HeadLoad.turnsTo(camera, mount);
        OptionalDouble allowed = HeadLoad.leadAllows(camera, mount);
        if (turns.isEmpty() || allowed.isEmpty() || turns.getAsDouble() <= allowed.getAsDouble()) {
            return;
        }
        String limit = Integer.toString((int) allowed.getAsDouble());
        Finding finding =
                finding(
                        MountCodes.WRAP,
                        camera,
                        Field.PAN_LIMIT,
                        Map.of("turns", number(turns.getAsDouble()), "allowed", limit));
        found.add(
                mount.map(
                                m ->
                                        finding.withFixes(
                                                List.of(
                                                        Fix.editing(
                                                                "pan-limit",
                                                                List.of(limit(m, limit))))))
                        .orElse(finding));
    }

    private static Edit limit(Mount m, String limit) {
        String now = m.panLimit().isPresent() ? Integer.toString(m.panLimit().getAsInt()) : "";
        return new Edit(m.ref(), Field.PAN_LIMIT, now, limit);
    }

    private void add(FindingCode code, Device camera, Field field, Map<String, String> facts) {
        found.add(finding(code, camera, field, facts));
    }

    private static Finding finding(
            FindingCode code, Device camera, Field field, Map<String, String> facts) {
        Map<String, String> all = new TreeMap<>(facts);
        all.put("device", camera.name());
        return Finding.of(code, camera.id(), field, all);
    }

    private static String number(double value) {
        String text = String.format(Locale.ROOT, "%.1f", value);
        return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
    }
}
