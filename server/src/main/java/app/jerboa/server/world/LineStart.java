package app.jerboa.server.world;

import app.jerboa.core.job.cabling.SerialSettings;
import app.jerboa.core.profile.Protocol;
import app.jerboa.wire.link.Stream;
import app.jerboa.wire.link.net.TcpStream;
import app.jerboa.wire.link.serial.SerialPortStream;
import java.net.InetSocketAddress;
import java.util.concurrent.ScheduledExecutorService;

/** Where the bytes of a serial line go in and out. */
public sealed interface LineStart {
    /** Lines with the same one share their connection. */
    String key();

    Stream open(SerialSettings rate, ScheduledExecutorService timer);

    /**
     * The serial server that answers.
     *
     * @throws app.jerboa.wire.link.session.NoAnswer when it has no port for it
     */
    static LineStart at(Answering server) {
        return new Served(server.at(Protocol.VISCA_TCP));
    }

    /** Its own port is set to the rate of the line: bytes go through unchanged. */
    record Served(InetSocketAddress at) implements LineStart {
        @Override
        public String key() {
            return at.toString();
        }

        @Override
        public Stream open(SerialSettings rate, ScheduledExecutorService timer) {
            return TcpStream.open(at, timer);
        }
    }

    /** A serial port of this machine. */
    record OwnPort(String path) implements LineStart {
        @Override
        public String key() {
            return path;
        }

        @Override
        public Stream open(SerialSettings rate, ScheduledExecutorService timer) {
            return SerialPortStream.open(
                    new SerialPortStream.Line(path, rate.baud(), rate.framing()), timer);
        }
    }
}
