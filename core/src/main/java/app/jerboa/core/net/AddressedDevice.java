package app.jerboa.core.net;

import app.jerboa.core.value.DeviceId;
import java.util.Optional;

/**
 * What address planning needs to know of a device.
 *
 * @param address planned address, if any
 * @param prefix the prefix it is to use
 * @param gateway the gateway it is to use, if any
 * @param reserved reserved in the DHCP pool for its MAC
 * @param leases it takes a lease, as planned or because it can do nothing else
 * @param set already on its planned address on site
 * @param isGateway it is the subnet's router, so the gateway's address is its own
 */
public record AddressedDevice(
        DeviceId id,
        String name,
        AddressRole role,
        Optional<Ipv4> address,
        int prefix,
        Optional<Ipv4> gateway,
        boolean reserved,
        boolean leases,
        boolean set,
        boolean isGateway,
        Optional<FactoryAddress> factory) {
    /** The same, planned elsewhere. */
    public AddressedDevice at(Optional<Ipv4> other) {
        return new AddressedDevice(
                id, name, role, other, prefix, gateway, reserved, leases, set, isGateway, factory);
    }
}
