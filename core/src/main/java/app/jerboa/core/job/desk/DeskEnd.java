package app.jerboa.core.job.desk;

import app.jerboa.core.job.Device;
import app.jerboa.core.net.Ipv4;
import java.util.Optional;
import java.util.function.Function;

/** What the desk's end of a serial lead is on while it speaks over it. */
public sealed interface DeskEnd {
    <R> R match(Function<Server, R> server, Function<OwnPort, R> ownPort);

    /** Empty for a port of this machine, which no plan knows. */
    default Optional<Device> device() {
        return match(it -> Optional.of(it.server()), it -> Optional.empty());
    }

    /** As a person calls it: a device's name, or the path of a port. */
    default String name() {
        return match(it -> it.server().name(), OwnPort::path);
    }

    /**
     * A serial server.
     *
     * @param port raw TCP
     */
    record Server(Device server, Ipv4 address, int port) implements DeskEnd {
        @Override
        public <R> R match(Function<Server, R> server, Function<OwnPort, R> ownPort) {
            return server.apply(this);
        }
    }

    /**
     * A serial port of the machine that Jerboa runs on.
     *
     * @param path for example {@code /dev/ttyUSB0}
     */
    record OwnPort(String path) implements DeskEnd {
        @Override
        public <R> R match(Function<Server, R> server, Function<OwnPort, R> ownPort) {
            return ownPort.apply(this);
        }
    }
}
