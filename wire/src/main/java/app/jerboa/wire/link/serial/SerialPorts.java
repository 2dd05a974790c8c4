package app.jerboa.wire.link.serial;

import com.fazecast.jSerialComm.SerialPort;
import java.util.Arrays;
import java.util.List;

/** The serial ports that this machine has now. */
public final class SerialPorts {
    private SerialPorts() {}

    /** Paths, for example {@code /dev/ttyUSB0}; none where no port is plugged in. */
    public static List<String> there() {
        return Arrays.stream(SerialPort.getCommPorts())
                .map(SerialPort::getSystemPortPath)
                .sorted()
                .toList();
    }
}
