package app.jerboa.core.net;

import java.util.List;

/** The house's side of one subnet: what is there before our first device arrives. */
public record Lan(
        Ipv4Subnet subnet,
        Ipv4 gateway,
        List<Ipv4Range> pools,
        List<Ipv4Range> reserved,
        List<TakenAddresses> taken) {
    public Lan {
        pools = List.copyOf(pools);
        reserved = List.copyOf(reserved);
        taken = List.copyOf(taken);
    }
}
