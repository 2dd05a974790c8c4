package app.jerboa.core.net;

import java.util.List;

/** Everything the address plan of one subnet is worked out from; devices in line order. */
public record AddressFacts(Lan lan, List<AddressedDevice> devices, List<CountingRun> runs) {
    public AddressFacts {
        devices = List.copyOf(devices);
        runs = List.copyOf(runs);
    }
}
