package app.jerboa.core.job.kit;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.Job;
import app.jerboa.core.job.Line;
import app.jerboa.core.job.Naming;
import app.jerboa.core.profile.DeviceKind;
import app.jerboa.core.profile.Keys;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** No two devices with one MAC, one label or one name; cameras named as the house names them. */
final class IdentityCheck {
    private static final Pattern LABEL = Pattern.compile("L(\\d{1,3}|[A-Z]{1,2})");

    private IdentityCheck() {}

    static List<Finding> of(Job job) {
        List<Finding> found = new ArrayList<>();
        twice(job, Device::mac, Device::mac, KitCodes.MAC_DUP, Field.MAC, found);
        twice(
                job,
                d -> d.serialNumber().isEmpty() ? "" : d.profile().id() + " " + d.serialNumber(),
                Device::serialNumber,
                KitCodes.SERIAL_DUP,
                Field.SERIAL_NUMBER,
                found);
        twice(job, Device::name, Device::name, KitCodes.NAME_DUP, Field.NAME, found);
        refused(job, found);
        if (job.site().habits().practice(Field.PRACTICE_ADDRESSES).equals("reservation")) {
            withoutMac(job, found);
        }
        habit(job, found);
        return found;
    }

    private static void twice(
            Job job,
            Function<Device, String> key,
            Function<Device, String> shown,
            FindingCode code,
            Field field,
            List<Finding> found) {
        Map<String, List<Device>> byKey = new LinkedHashMap<>();
        for (Device d : job.devices()) {
            if (!key.apply(d).isEmpty()) {
                byKey.computeIfAbsent(key.apply(d), k -> new ArrayList<>()).add(d);
            }
        }
        for (List<Device> same : byKey.values()) {
            if (same.size() > 1) {
                Map<String, String> facts =
                        Map.of(
                                "devices", Naming.devices(same),
                                "count", Integer.toString(same.size()),
                                "value", shown.apply(same.get(0)));
                found.add(Finding.of(code, ids(same), field, facts));
            }
        }
    }

    /** Some controllers take a name only once; say which one will refuse it. */
    private static void refused(Job job, List<Finding> found) {
        Set<DeviceId> strict =
                job.devices().stream()
                        .filter(d -> d.profile().keys().filter(Keys::refusesSameName).isPresent())
                        .map(Device::id)
                        .collect(Collectors.toSet());
        Map<DeviceId, DeviceId> on = new HashMap<>();
        for (Line line : job.lines()) {
            line.key()
                    .map(Line.Key::controller)
                    .filter(strict::contains)
                    .ifPresent(c -> on.put(line.camera(), c));
        }
        found.replaceAll(
                f -> {
                    List<DeviceId> by =
                            f.devices().stream()
                                    .map(on::get)
                                    .filter(Objects::nonNull)
                                    .distinct()
                                    .toList();
                    if (!f.code().equals(KitCodes.NAME_DUP) || by.isEmpty()) {
                        return f;
                    }
                    Map<String, String> facts = new HashMap<>(f.facts());
                    facts.put("what", "refused");
                    facts.put("controller", job.device(by.get(0)).orElseThrow().name());
                    return Finding.of(f.code(), f.devices(), f.field(), facts);
                });
    }

    private static void withoutMac(Job job, List<Finding> found) {
        List<Device> without =
                job.devices().stream()
                        .filter(d -> d.address().isPresent() && d.mac().isEmpty())
                        .filter(d -> d.profile().networked() && !isRouter(d))
                        .toList();
        if (!without.isEmpty()) {
            Map<String, String> facts =
                    Map.of(
                            "devices", Naming.devices(without),
                            "count", Integer.toString(without.size()));
            found.add(Finding.of(KitCodes.NO_MAC, ids(without), Field.MAC, facts));
        }
    }

    private static boolean isRouter(Device d) {
        return d.profile().kind() == DeviceKind.ROUTER;
    }

    /** Only names that look like a line's label are held against the habit. */
    private static void habit(Job job, List<Finding> found) {
        Map<DeviceId, Device> byId = new HashMap<>();
        Set<String> otherNames = new HashSet<>();
        job.devices().forEach(d -> byId.put(d.id(), d));
        Map<DeviceId, String> wanted = new LinkedHashMap<>();
        for (Line line : job.lines()) {
            Device camera = byId.get(line.camera());
            if (LABEL.matcher(camera.name()).matches()) {
                wanted.putIfAbsent(camera.id(), job.label(line));
            }
        }
        job.devices().stream()
                .filter(d -> !wanted.containsKey(d.id()))
                .forEach(d -> otherNames.add(d.name()));
        List<Device> differ = new ArrayList<>();
        List<Edit> renames = new ArrayList<>();
        wanted.forEach(
                (id, label) -> {
                    Device camera = byId.get(id);
                    if (!camera.name().equals(label) && !otherNames.contains(label)) {
                        differ.add(camera);
                        renames.add(Edit.of(id, Field.NAME, camera.name(), label));
                    }
                });
        if (!differ.isEmpty()) {
            Map<String, String> facts =
                    Map.of("devices", Naming.devices(differ), "first", renames.get(0).after());
            found.add(
                    Finding.of(KitCodes.NAME_HABIT, ids(differ), Field.NAME, facts)
                            .withFixes(List.of(Fix.editing("rename", renames))));
        }
    }

    private static List<DeviceId> ids(List<Device> devices) {
        return devices.stream().map(Device::id).toList();
    }
}
