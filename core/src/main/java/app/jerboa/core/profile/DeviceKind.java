package app.jerboa.core.profile;

import app.jerboa.core.net.AddressRole;
import app.jerboa.core.value.Kebab;

/** What a device is for, in the job's words, and which block of addresses it belongs in. */
public enum DeviceKind {
    ROUTER(AddressRole.INFRASTRUCTURE),
    NETWORK_SWITCH(AddressRole.INFRASTRUCTURE),
    /** Wireless points, serial servers, tunnels, modems. */
    LINK(AddressRole.INFRASTRUCTURE),
    CONTROLLER(AddressRole.CONTROLLER),
    CAMERA(AddressRole.CAMERA),
    /** Switchers, recorders, encoders, decoders, converters. */
    VIDEO(AddressRole.VIDEO),
    COMPUTER(AddressRole.COMPUTER),
    /** Lenses, adapters, power: no address of their own. */
    ACCESSORY(AddressRole.COMPUTER);

    private final AddressRole addressRole;

    DeviceKind(AddressRole addressRole) {
        this.addressRole = addressRole;
    }

    public String wire() {
        return toString();
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }

    public AddressRole addressRole() {
        return addressRole;
    }
}
