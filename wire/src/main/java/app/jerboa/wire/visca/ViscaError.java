package app.jerboa.wire.visca;

import java.util.Arrays;
import java.util.Optional;

/** Why a camera refused a message. */
public enum ViscaError {
    LENGTH(0x01, "wrong length"),
    SYNTAX(0x02, "syntax error"),
    BUFFER_FULL(0x03, "command buffer full"),
    CANCELLED(0x04, "cancelled"),
    NO_SOCKET(0x05, "no such socket"),
    NOT_EXECUTABLE(0x41, "not executable now");

    private final int wire;
    private final String words;

    ViscaError(int wire, String words) {
        this.wire = wire;
        this.words = words;
    }

    public int wire() {
        return wire;
    }

    public String words() {
        return words;
    }

    public static Optional<ViscaError> fromWire(int octet) {
        return Arrays.stream(values()).filter(e -> e.wire == octet).findFirst();
    }
}
