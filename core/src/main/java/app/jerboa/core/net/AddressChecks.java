package app.jerboa.core.net;

import app.jerboa.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;

/** Runs every address check; a new rule is one more class and one more line here. */
public final class AddressChecks {
    private static final List<AddressCheck> ALL =
            List.of(
                    new PlaceChecks(),
                    new DuplicateCheck(),
                    new GatewayAndMaskCheck(),
                    new CountingRunCheck(),
                    new FactoryChecks(),
                    new LeaseChecks(),
                    new RoomChecks());

    private AddressChecks() {}

    /** All findings of one subnet, stops first; O(n log n) in devices. */
    public static List<Finding> check(AddressFacts facts) {
        AddressIndex index = new AddressIndex(facts);
        List<Finding> findings = new ArrayList<>();
        ALL.forEach(c -> c.check(index, findings::add));
        findings.sort(Finding.ORDER);
        return List.copyOf(findings);
    }
}
