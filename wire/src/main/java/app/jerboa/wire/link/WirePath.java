package app.jerboa.wire.link;

import java.net.InetSocketAddress;

/**
 * Between which two sockets frames went.
 *
 * @param udp else TCP
 */
public record WirePath(boolean udp, InetSocketAddress local, InetSocketAddress remote) {}
