package app.jerboa.server.world;

/**
 * An address of this machine.
 *
 * @param link name of the interface
 * @param address with its prefix
 * @param reaches it is in a subnet of the job
 */
public record OwnAddress(String link, String address, boolean reaches) {}
