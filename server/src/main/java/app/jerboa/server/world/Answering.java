package app.jerboa.server.world;

/**
 * A device that answers, and where its traffic goes.
 *
 * @param mac in lower case
 * @param headerPort UDP port of VISCA with its header
 * @param rawPort UDP port of VISCA without
 */
public record Answering(String name, String mac, String host, int headerPort, int rawPort) {}
