package app.jerboa.core.job.cabling.check;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.cabling.ChainOrBus;
import app.jerboa.core.job.text.JobItems;
import app.jerboa.core.profile.Signal;
import app.jerboa.core.serial.SerialReach;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Lengths;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** RS-485: one line with both ends terminated, not too long, not too many on it. */
final class BusCheck {
    private BusCheck() {}

    static List<Finding> of(CablingPlan plan) {
        List<Finding> found = new ArrayList<>();
        for (ChainOrBus bus : plan.serial()) {
            if (bus.signal() == Signal.RS_485) {
                check(bus, found);
            }
        }
        return found;
    }

    private static void check(ChainOrBus bus, List<Finding> found) {
        double loads = bus.stations().stream().mapToDouble(BusCheck::unitLoads).sum();
        if (bus.metres() > SerialReach.RS_485) {
            found.add(about(bus, CablingCodes.LENGTH, Field.METRES, "bus"));
        }
        if (!bus.straight()) {
            found.add(about(bus, CablingCodes.LOAD, Field.FROM_PORT, "star"));
        } else if (loads > SerialReach.UNIT_LOADS) {
            found.add(about(bus, CablingCodes.LOAD, Field.FROM_PORT, "many"));
        }
        if (bus.straight()) {
            terminators(bus, found);
        }
    }

    private static double unitLoads(Device d) {
        return d.profile().serial().map(s -> s.unitLoads().orElse(1)).orElse(1.0);
    }

    private static Finding about(ChainOrBus bus, FindingCode code, Field field, String what) {
        double loads = bus.stations().stream().mapToDouble(BusCheck::unitLoads).sum();
        return Finding.of(
                code,
                bus.stations().stream().map(Device::id).toList(),
                field,
                Map.of(
                        "devices", CablingPlan.names(bus.stations()),
                        "signal", bus.signal().toString(),
                        "metres", Lengths.text(bus.metres()),
                        "likely", Lengths.text(SerialReach.RS_485),
                        "loads", CablingPlan.one(loads),
                        "what", what));
    }

    /** Stations with one lead are the ends. */
    private static void terminators(ChainOrBus bus, List<Finding> found) {
        List<DeviceId> ends =
                List.of(
                        bus.stations().get(0).id(),
                        bus.stations().get(bus.stations().size() - 1).id());
        List<Edit> edits = new ArrayList<>();
        List<Device> missing = new ArrayList<>();
        for (Device d : bus.stations()) {
            boolean end = ends.contains(d.id());
            if (end != d.asSet().terminator()) {
                missing.add(d);
                edits.add(
                        Edit.of(
                                d.id(),
                                Field.TERMINATOR,
                                JobItems.text(d, Field.TERMINATOR),
                                Boolean.toString(end)));
            }
        }
        if (!edits.isEmpty()) {
            found.add(
                    about(bus, CablingCodes.TERMINATORS, Field.TERMINATOR, wrong(missing))
                            .withFixes(List.of(Fix.editing("terminators", edits))));
        }
    }

    private static String wrong(List<Device> devices) {
        return devices.stream().allMatch(d -> d.asSet().terminator()) ? "between" : "missing";
    }
}
