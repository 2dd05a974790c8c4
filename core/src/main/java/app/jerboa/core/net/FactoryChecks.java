package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.FindingCode;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** What the addresses devices leave the factory with mean for this LAN and for the bring-up. */
final class FactoryChecks implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        index.byFactory()
                .forEach(
                        (address, devices) -> {
                            rivals(address, devices, report);
                            clashes(index, address, devices, report);
                            inside(index, address, devices, report);
                        });
    }

    private static void rivals(
            Ipv4 address, List<AddressedDevice> devices, Consumer<Finding> report) {
        List<AddressedDevice> unset = devices.stream().filter(d -> !d.set()).toList();
        if (unset.size() > 1) {
            report.accept(finding(AddressCodes.RIVALS, address, unset, Map.of()));
        }
    }

    private static void clashes(
            AddressIndex index,
            Ipv4 address,
            List<AddressedDevice> starting,
            Consumer<Finding> report) {
        for (AddressedDevice planned : index.byAddress().getOrDefault(address, List.of())) {
            List<AddressedDevice> others =
                    starting.stream().filter(d -> !d.equals(planned) && !d.set()).toList();
            if (!others.isEmpty()) {
                report.accept(
                        finding(
                                        AddressCodes.FACTORY_CLASH,
                                        address,
                                        others,
                                        Map.of("planned", planned.name()))
                                .withFixes(index.moving(List.of(planned.id()))));
            }
        }
    }

    private static void inside(
            AddressIndex index,
            Ipv4 address,
            List<AddressedDevice> devices,
            Consumer<Finding> report) {
        List<AddressedDevice> unset = devices.stream().filter(d -> !d.set()).toList();
        if (!unset.isEmpty() && index.lan().subnet().contains(address)) {
            index.takenBy(address)
                    .map(
                            holder ->
                                    finding(
                                            AddressCodes.FACTORY_INSIDE,
                                            address,
                                            unset,
                                            Map.of("holder", holder)))
                    .ifPresent(report);
        }
    }

    private static Finding finding(
            FindingCode code,
            Ipv4 address,
            List<AddressedDevice> devices,
            Map<String, String> more) {
        List<DeviceId> ids = devices.stream().map(AddressedDevice::id).toList();
        Map<String, String> facts = new HashMap<>(more);
        facts.put("address", address.toString());
        facts.put(
                "devices",
                devices.stream().map(AddressedDevice::name).collect(Collectors.joining(", ")));
        return Finding.of(code, ids, Field.ADDRESS, facts);
    }
}
