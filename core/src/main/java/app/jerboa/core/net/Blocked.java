package app.jerboa.core.net;

import java.util.List;

/**
 * Why an address must not be handed out.
 *
 * @param holder whose it is or what it is, for people; empty where the kind says it all
 */
record Blocked(Kind kind, String holder) {
    enum Kind {
        NETWORK,
        BROADCAST,
        GATEWAY,
        TAKEN,
        POOL,
        RESERVED_RANGE,
        FACTORY,
        /** Given to one of our own devices a moment ago. */
        USED
    }

    /** Everything in the subnet that no device may be given; with or without the DHCP pools. */
    static RangeIndex<Blocked> of(AddressFacts facts, boolean pools) {
        Lan lan = facts.lan();
        RangeIndex<Blocked> index = new RangeIndex<>();
        index.put(Ipv4Range.of(lan.subnet().network()), new Blocked(Kind.NETWORK, ""));
        index.put(Ipv4Range.of(lan.subnet().broadcast()), new Blocked(Kind.BROADCAST, ""));
        index.put(Ipv4Range.of(lan.gateway()), new Blocked(Kind.GATEWAY, ""));
        lan.taken().forEach(t -> index.put(t.range(), new Blocked(Kind.TAKEN, t.holder())));
        // Before the pools: a reserved range inside a pool is closed to those reserved there too.
        lan.reserved().forEach(r -> index.put(r, new Blocked(Kind.RESERVED_RANGE, "")));
        facts.devices().stream()
                .flatMap(d -> d.factory().stream())
                .map(FactoryAddress::address)
                .filter(lan.subnet()::contains)
                .forEach(a -> index.put(Ipv4Range.of(a), new Blocked(Kind.FACTORY, "")));
        (pools ? lan.pools() : List.<Ipv4Range>of())
                .forEach(p -> index.put(p, new Blocked(Kind.POOL, "")));
        return index;
    }
}
