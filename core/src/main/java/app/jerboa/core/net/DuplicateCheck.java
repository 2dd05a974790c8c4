package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Two devices on one planned address: both come and go, and neither can be trusted. */
final class DuplicateCheck implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        index.byAddress()
                .forEach(
                        (address, devices) -> {
                            if (devices.size() > 1) {
                                report.accept(duplicate(index, address, devices));
                            }
                        });
    }

    private static Finding duplicate(
            AddressIndex index, Ipv4 address, List<AddressedDevice> devices) {
        List<DeviceId> ids = devices.stream().map(AddressedDevice::id).toList();
        String names =
                devices.stream().map(AddressedDevice::name).collect(Collectors.joining(" and "));
        Map<String, String> facts = Map.of("devices", names, "address", address.toString());
        return Finding.of(AddressCodes.DUP, ids, Field.ADDRESS, facts).withFixes(index.moving(ids));
    }
}
