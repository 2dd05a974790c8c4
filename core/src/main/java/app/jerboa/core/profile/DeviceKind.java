package app.jerboa.core.profile;

import app.jerboa.core.net.AddressRole;
import java.util.Arrays;
import java.util.Optional;

/** What a device is for, in the job's words, and which block of addresses it belongs in. */
public enum DeviceKind {
    ROUTER("router", AddressRole.INFRASTRUCTURE),
    NETWORK_SWITCH("network-switch", AddressRole.INFRASTRUCTURE),
    CONTROLLER("controller", AddressRole.CONTROLLER),
    CAMERA("camera", AddressRole.CAMERA),
    VIDEO("video", AddressRole.VIDEO),
    COMPUTER("computer", AddressRole.COMPUTER);

    private final String wire;
    private final AddressRole addressRole;

    DeviceKind(String wire, AddressRole addressRole) {
        this.wire = wire;
        this.addressRole = addressRole;
    }

    public String wire() {
        return wire;
    }

    public AddressRole addressRole() {
        return addressRole;
    }

    public static Optional<DeviceKind> fromWire(String name) {
        return Arrays.stream(values()).filter(k -> k.wire.equals(name)).findFirst();
    }
}
