package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.value.DeviceId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Both ends of a serial line set alike; each difference is a finding of its own. */
final class SerialSettingCheck {
    /** One setting: its field and how it reads. */
    private record Setting(Field field, Function<SerialSettings, String> reads) {}

    private static final List<Setting> SETTINGS =
            List.of(
                    new Setting(Field.BAUD, s -> Integer.toString(s.baud())),
                    new Setting(Field.FRAMING, SerialSettings::framing),
                    new Setting(Field.SERIAL_PROTOCOL, SerialSettings::protocol));

    private SerialSettingCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        Map<DeviceId, List<ChainOrBus>> byDriver = new LinkedHashMap<>();
        for (ChainOrBus line : plan.serial()) {
            line.driver()
                    .ifPresent(
                            d ->
                                    byDriver.computeIfAbsent(d.id(), x -> new ArrayList<>())
                                            .add(line));
        }
        for (List<ChainOrBus> lines : byDriver.values()) {
            Device driver = lines.get(0).driver().orElseThrow();
            for (Setting setting : SETTINGS) {
                if (lines.size() == 1) {
                    check(lines.get(0), driver, setting, found);
                } else {
                    shared(lines, driver, setting).ifPresent(found::add);
                }
            }
        }
        return found;
    }

    /**
     * One stick with one setting feeds several lines: to follow the one would lose the other, so
     * all of it is one finding, and the cameras are set to what all can do.
     */
    private static Optional<Finding> shared(
            List<ChainOrBus> lines, Device driver, Setting setting) {
        List<Device> cameras = lines.stream().flatMap(l -> l.cameras().stream()).toList();
        String now = SerialSettings.of(driver).map(setting.reads()).orElse("");
        List<Device> differing =
                cameras.stream()
                        .filter(
                                c ->
                                        SerialSettings.of(c)
                                                .map(setting.reads())
                                                .filter(has -> differ(now, has))
                                                .isPresent())
                        .toList();
        if (differing.isEmpty()) {
            return Optional.empty();
        }
        List<DeviceId> concerned = new ArrayList<>(differing.stream().map(Device::id).toList());
        concerned.add(driver.id());
        String has =
                differing.stream()
                        .flatMap(c -> SerialSettings.of(c).map(setting.reads()).stream())
                        .distinct()
                        .collect(Collectors.joining(" and "));
        Finding finding =
                Finding.of(
                        CablingCodes.SETTING,
                        concerned,
                        setting.field(),
                        Map.of(
                                "device", CablingPlan.names(differing),
                                "other", driver.name(),
                                "has", has,
                                "wants", now,
                                "what", setting.field().wire()));
        return Optional.of(
                finding.withFixes(
                        common(driver, cameras, setting, now)
                                .map(value -> List.of(set(driver, cameras, setting, value)))
                                .orElse(List.of())));
    }

    /** What the driver has, where every camera can do it; else the most that all can. */
    private static Optional<String> common(
            Device driver, List<Device> cameras, Setting setting, String now) {
        if (cameras.stream().allMatch(c -> can(c, setting, now))) {
            return Optional.of(now);
        }
        return driver.profile().serial().orElseThrow().bauds().stream()
                .filter(b -> cameras.stream().allMatch(c -> can(c, setting, b.toString())))
                .max(Comparator.naturalOrder())
                .map(Object::toString);
    }

    private static Fix set(Device driver, List<Device> cameras, Setting setting, String value) {
        List<Edit> edits =
                Stream.concat(Stream.of(driver), cameras.stream())
                        .filter(
                                d ->
                                        SerialSettings.of(d)
                                                .map(setting.reads())
                                                .filter(has -> differ(value, has))
                                                .isPresent())
                        .map(
                                d ->
                                        Edit.of(
                                                d.id(),
                                                setting.field(),
                                                JobItems.text(d, setting.field()),
                                                value))
                        .toList();
        return Fix.editing("setting", edits);
    }

    private static void check(
            ChainOrBus line, Device driver, Setting setting, List<Finding> found) {
        Optional<String> wanted = SerialSettings.of(driver).map(setting.reads());
        List<String> values =
                line.cameras().stream()
                        .flatMap(c -> SerialSettings.of(c).map(setting.reads()).stream())
                        .distinct()
                        .toList();
        for (Device camera : line.cameras()) {
            Optional<String> has = SerialSettings.of(camera).map(setting.reads());
            if (wanted.isPresent() && has.isPresent() && differ(wanted.get(), has.get())) {
                Fix fix =
                        values.size() == 1 && can(driver, setting, has.get())
                                ? set(driver, setting, has.get())
                                : set(camera, setting, wanted.get());
                found.add(
                        Finding.of(
                                        CablingCodes.SETTING,
                                        List.of(camera.id(), driver.id()),
                                        setting.field(),
                                        Map.of(
                                                "device", camera.name(),
                                                "other", driver.name(),
                                                "has", has.get(),
                                                "wants", wanted.get(),
                                                "what", setting.field().wire()))
                                .withFixes(List.of(fix)));
            }
        }
    }

    /** A blank is whatever the other side wants. */
    private static boolean differ(String one, String other) {
        return !one.isEmpty() && !other.isEmpty() && !one.equals(other);
    }

    private static boolean can(Device d, Setting setting, String value) {
        return setting.field() != Field.BAUD
                || d.profile().serial().orElseThrow().bauds().contains(Integer.parseInt(value));
    }

    private static Fix set(Device d, Setting setting, String value) {
        Edit edit = Edit.of(d.id(), setting.field(), JobItems.text(d, setting.field()), value);
        return Fix.editing("setting", List.of(edit));
    }
}
