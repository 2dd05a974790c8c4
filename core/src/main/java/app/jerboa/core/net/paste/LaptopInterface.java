package app.jerboa.core.net.paste;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a laptop is, from its own print-out: {@code ip addr} (with {@code ip route} below it, if
 * pasted too), {@code ifconfig} of two systems, {@code ipconfig}.
 *
 * @param gateway when the print-out names one that lies in the same subnet
 */
public record LaptopInterface(Ipv4 address, Ipv4Subnet subnet, Optional<Ipv4> gateway) {
    private static final String DOTTED = "(\\d{1,3}(?:\\.\\d{1,3}){3})";
    private static final Pattern SLASHED = Pattern.compile("inet " + DOTTED + "/(\\d{1,2})");
    private static final Pattern MASKED =
            Pattern.compile(
                    "inet (?:addr:)?"
                            + DOTTED
                            + ".*?(?:netmask |Mask:)(?:"
                            + DOTTED
                            + "|0x([0-9a-f]{8}))");
    private static final Pattern WINDOWS_ADDRESS = Pattern.compile("IPv4[^:]*:\\s*" + DOTTED);
    private static final Pattern WINDOWS_MASK = Pattern.compile("Subnet Mask[^:]*:\\s*" + DOTTED);
    private static final Pattern GATEWAY =
            Pattern.compile("(?:default via |Default Gateway[^:]*:\\s*)" + DOTTED);

    /** Every address that could be the house's: not the machine's own, not self-assigned. */
    public static List<LaptopInterface> parse(String text) {
        List<Ipv4> gateways = new ArrayList<>();
        Matcher via = GATEWAY.matcher(text);
        while (via.find()) {
            address(via.group(1)).ifPresent(gateways::add);
        }
        List<LaptopInterface> found = new ArrayList<>();
        Optional<Ipv4> waiting = Optional.empty();
        for (String line : text.lines().toList()) {
            Matcher slashed = SLASHED.matcher(line);
            Matcher masked = MASKED.matcher(line);
            Matcher windows = WINDOWS_ADDRESS.matcher(line);
            Matcher mask = WINDOWS_MASK.matcher(line);
            if (slashed.find()) {
                add(found, address(slashed.group(1)), Integer.parseInt(slashed.group(2)), gateways);
            } else if (masked.find()) {
                int prefix =
                        masked.group(2) == null ? hex(masked.group(3)) : dotted(masked.group(2));
                add(found, address(masked.group(1)), prefix, gateways);
            } else if (windows.find()) {
                waiting = address(windows.group(1));
            } else if (mask.find()) {
                add(found, waiting, dotted(mask.group(1)), gateways);
                waiting = Optional.empty();
            }
        }
        return List.copyOf(found);
    }

    private static void add(
            List<LaptopInterface> found, Optional<Ipv4> address, int prefix, List<Ipv4> gateways) {
        boolean usable = prefix >= Ipv4Subnet.WIDEST && prefix <= Ipv4Subnet.NARROWEST;
        address.filter(a -> usable && isHouse(a))
                .ifPresent(
                        a -> {
                            Ipv4Subnet subnet = Ipv4Subnet.of(a, prefix);
                            Optional<Ipv4> gateway =
                                    gateways.stream().filter(subnet::isHost).findFirst();
                            found.add(new LaptopInterface(a, subnet, gateway));
                        });
    }

    /** Neither loopback (RFC 1122) nor self-assigned (RFC 3927). */
    private static boolean isHouse(Ipv4 address) {
        return address.bits() >> 24 != 127 && address.bits() >> 16 != 0xA9FE;
    }

    private static Optional<Ipv4> address(String text) {
        try {
            return Optional.of(Ipv4.parse(text));
        } catch (TextRejected e) {
            return Optional.empty();
        }
    }

    private static int dotted(String mask) {
        return address(mask).map(m -> prefix(m.bits())).orElse(0);
    }

    private static int hex(String mask) {
        return prefix(Long.parseLong(mask, 16));
    }

    /** 0 for a mask with holes, which no subnet has. */
    private static int prefix(long mask) {
        int ones = Long.bitCount(mask);
        long whole = ones == 0 ? 0 : (0xFFFF_FFFFL << (32 - ones)) & 0xFFFF_FFFFL;
        return mask == whole ? ones : 0;
    }
}
