package app.jerboa.core.job.cabling;

import app.jerboa.core.job.Device;
import app.jerboa.core.profile.Parity;
import app.jerboa.core.profile.SerialLine;
import java.util.Optional;

/**
 * How a serial port stands: as somebody set it, else as it came from the factory.
 *
 * @param framing data bits, parity and stop bits, for example {@code 8N1}
 * @param protocol blank where none was set
 */
public record SerialSettings(int baud, String framing, String protocol) {
    /** Where nothing is known of a line: VISCA's usual rate and frame. */
    public static final SerialSettings USUAL = new SerialSettings(9600, "8N1", "");

    private static final int START_BIT = 1;

    /** Empty for what has no serial port. */
    public static Optional<SerialSettings> of(Device d) {
        return d.profile()
                .serial()
                .map(
                        s ->
                                new SerialSettings(
                                        d.asSet().baud().orElse(s.baud()),
                                        d.asSet().framing().isEmpty()
                                                ? factory(s)
                                                : d.asSet().framing(),
                                        d.asSet().serialProtocol()));
    }

    private static String factory(SerialLine s) {
        String parity = s.parity() == Parity.NONE ? "N" : s.parity() == Parity.EVEN ? "E" : "O";
        return s.dataBits() + parity + s.stopBits();
    }

    /** Bits on the wire for each character: 10 for 8N1. */
    public int bitsPerCharacter() {
        int parity = framing.charAt(1) == 'N' ? 0 : 1;
        return START_BIT + (framing.charAt(0) - '0') + parity + (framing.charAt(2) - '0');
    }
}
