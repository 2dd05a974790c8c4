package app.jerboa.core.job.cabling.check;

import app.jerboa.core.job.Device;
import app.jerboa.core.job.JobItems;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.value.Edit;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Finding;
import app.jerboa.core.value.Fix;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

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
        for (ChainOrBus line : plan.serial()) {
            line.driver().ifPresent(d -> SETTINGS.forEach(s -> check(line, d, s, found)));
        }
        return found;
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
