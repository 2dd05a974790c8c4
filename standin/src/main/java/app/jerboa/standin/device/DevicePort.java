package app.jerboa.standin.device;

import app.jerboa.core.profile.Protocol;

/** One place where a simulated device answers, on a real loopback socket. */
public interface DevicePort extends AutoCloseable {
    Protocol protocol();

    /** The real port. */
    int port();

    @Override
    void close();
}
