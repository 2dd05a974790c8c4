package app.jerboa.core.net.paste;

import app.jerboa.core.net.Ipv4;

/**
 * A device seen in a network.
 *
 * @param mac lower case with colons; empty when the print-out has none
 * @param name as the print-out gives it; may be empty
 */
public record Neighbour(Ipv4 address, String mac, String name) {}
