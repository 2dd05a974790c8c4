package app.jerboa.core.net;

/** Addresses in use by other people's gear, and whose. */
public record TakenAddresses(Ipv4Range range, String holder) {}
