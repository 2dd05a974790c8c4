package app.jerboa.server.world;

import app.jerboa.core.net.Ipv4;
import app.jerboa.wire.discovery.ProbeMatch;

/** Who answered a probe to all, and what it says. */
public record Heard(Ipv4 from, ProbeMatch match) {}
