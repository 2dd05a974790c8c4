package app.jerboa.core.value;

import java.util.Arrays;
import java.util.Optional;

/** The fields of a device that a person or a fix may change. */
public enum Field {
    /** Planned IPv4 address, dotted; an empty text means "none planned". */
    ADDRESS("address"),
    /** Prefix length the device is to use, 8 to 30. */
    PREFIX("prefix"),
    /** Gateway the device is to use, dotted; an empty text means "none". */
    GATEWAY("gateway"),
    /** {@code true} when the address is reserved for this device's MAC in the DHCP pool. */
    RESERVED("reserved");

    private final String wire;

    Field(String wire) {
        this.wire = wire;
    }

    /** The name used in JSON and in the database. */
    public String wire() {
        return wire;
    }

    public static Optional<Field> fromWire(String name) {
        return Arrays.stream(values()).filter(f -> f.wire.equals(name)).findFirst();
    }
}
