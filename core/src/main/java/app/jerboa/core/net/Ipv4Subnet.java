package app.jerboa.core.net;

import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;

/**
 * A subnet a control LAN can use: prefix /8 to /30. /31 and /32 have no room for a broadcast
 * address (RFC 3021 uses them for point-to-point links) and are refused; wider than /8 is a slip of
 * the pen.
 *
 * @param network its lowest address, all host bits zero
 */
public record Ipv4Subnet(Ipv4 network, int prefix) {
    public static final int WIDEST = 8;
    public static final int NARROWEST = 30;

    public Ipv4Subnet {
        if (prefix < WIDEST || prefix > NARROWEST) {
            throw new IllegalArgumentException(
                    "a control LAN's prefix is /"
                            + WIDEST
                            + " to /"
                            + NARROWEST
                            + ", got /"
                            + prefix);
        }
        if ((network.bits() & ~maskBits(prefix)) != 0) {
            throw new IllegalArgumentException(
                    network + " is not the first address of a /" + prefix);
        }
    }

    /** The subnet that {@code host} is in. */
    public static Ipv4Subnet of(Ipv4 host, int prefix) {
        return new Ipv4Subnet(new Ipv4(host.bits() & maskBits(prefix)), prefix);
    }

    /**
     * Reads {@code 10.44.8.0/24}; host bits are allowed and cut off.
     *
     * @throws TextRejected when it is not an address, a slash and a prefix of 8 to 30
     */
    public static Ipv4Subnet parse(String cidr) {
        int slash = cidr.indexOf('/');
        if (slash < 0) {
            Ipv4.parse(cidr);
            throw new TextRejected(cidr, cidr.length(), Reason.of("text.prefix"));
        }
        Ipv4 host = Ipv4.parse(cidr.substring(0, slash), cidr, 0);
        return of(host, parsePrefix(cidr, slash + 1));
    }

    private static int parsePrefix(String cidr, int from) {
        String digits = cidr.substring(from);
        boolean numeric = !digits.isEmpty() && digits.chars().allMatch(c -> Ipv4.isDigit((char) c));
        if (!numeric || digits.length() > 2) {
            throw new TextRejected(cidr, from, Reason.of("text.prefix-number"));
        }
        if (digits.length() > 1 && digits.charAt(0) == '0') {
            throw new TextRejected(cidr, from, Reason.of("text.prefix-zeros"));
        }
        int prefix = Integer.parseInt(digits);
        if (prefix < WIDEST || prefix > NARROWEST) {
            throw new TextRejected(cidr, from, Reason.of("text.prefix-range"));
        }
        return prefix;
    }

    private static long maskBits(int prefix) {
        return (0xFFFF_FFFFL << (32 - prefix)) & 0xFFFF_FFFFL;
    }

    public Ipv4 mask() {
        return new Ipv4(maskBits(prefix));
    }

    public Ipv4 broadcast() {
        return new Ipv4(network.bits() | (~maskBits(prefix) & 0xFFFF_FFFFL));
    }

    /** First to last address a device may use: all but network and broadcast. */
    public Ipv4Range hosts() {
        return new Ipv4Range(network.plus(1), broadcast().plus(-1));
    }

    public boolean contains(Ipv4 address) {
        return (address.bits() & maskBits(prefix)) == network.bits();
    }

    public boolean isHost(Ipv4 address) {
        return hosts().contains(address);
    }

    @Override
    public String toString() {
        return network + "/" + prefix;
    }
}
