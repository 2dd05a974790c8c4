package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import app.jerboa.core.finding.Fix;
import app.jerboa.core.item.Edit;
import app.jerboa.core.item.Field;
import app.jerboa.core.value.DeviceId;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/** Leases where an address must stay, and fixed addresses where only a lease can be. */
final class LeaseChecks implements AddressCheck {
    @Override
    public void check(AddressIndex index, Consumer<Finding> report) {
        Set<DeviceId> counted = new HashSet<>();
        for (CountingRun run : index.facts().runs()) {
            for (CountingRun.Keyed key : run.cameras()) {
                AddressedDevice camera = index.device(key.camera());
                if (camera.leases() && !camera.reserved() && counted.add(camera.id())) {
                    report.accept(
                            Finding.of(
                                            AddressCodes.LEASE_FIXED,
                                            camera.id(),
                                            Field.ADDRESS,
                                            Map.of(
                                                    "device", camera.name(),
                                                    "controller", run.name()))
                                    .withFixes(index.moving(List.of(camera.id()))));
                }
            }
        }
        for (AddressedDevice d : index.facts().devices()) {
            if (d.leases() && d.address().isPresent() && !d.reserved()) {
                report.accept(leaseOnly(d));
            }
        }
    }

    private static Finding leaseOnly(AddressedDevice d) {
        Fix reserve =
                Fix.editing("reserve", List.of(Edit.of(d.id(), Field.RESERVED, "false", "true")));
        return Finding.of(
                        AddressCodes.LEASE_ONLY,
                        d.id(),
                        Field.ADDRESS,
                        Map.of("device", d.name(), "address", d.address().orElseThrow().toString()))
                .withFixes(List.of(reserve));
    }
}
