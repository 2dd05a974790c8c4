package app.jerboa.server.world;

import app.jerboa.core.profile.Protocol;
import java.util.List;

/**
 * A port at which a look at the network knocks.
 *
 * @param port as it really is
 */
public record Door(Protocol protocol, int port) {
    /**
     * What may be knocked at by somebody who knows nothing of a device: these take many clients. A
     * serial server or a panel link has room for one, and a control port moves things.
     */
    public static final List<Protocol> LOOKED_FOR =
            List.of(Protocol.WEB, Protocol.RTSP, Protocol.ONVIF);
}
