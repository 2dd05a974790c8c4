package app.jerboa.core.net.paste;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The devices a machine or a router has seen: {@code ip neigh}, {@code arp -a} and {@code arp -n}
 * of the three desktop systems, dnsmasq's lease file and dhcpd's.
 *
 * @param neighbours in the order of the text, each address once
 * @param refused lines that speak of an address and were not taken, with the reason
 */
public record NeighbourTable(List<Neighbour> neighbours, List<Refused> refused) {
    /** A line that was not taken. */
    public record Refused(int line, String text, Reason reason) {}

    private static final Pattern ADDRESS =
            Pattern.compile("(?<![\\d.])(\\d{1,3}(?:\\.\\d{1,3}){3})(?![\\d.])");
    private static final Pattern MAC =
            Pattern.compile(
                    "(?<![0-9A-Fa-f:.-])([0-9A-Fa-f]{1,2}(?:[:-][0-9A-Fa-f]{1,2}){5})(?![0-9A-Fa-f:-])");
    private static final Pattern NAME_BEFORE = Pattern.compile("^\\s*([A-Za-z][\\w.-]*)\\s+\\(");
    private static final Pattern LEASE = Pattern.compile("^\\s*lease\\s+\\S+\\s*\\{");
    private static final Pattern HOST_NAME = Pattern.compile("client-hostname\\s+\"([^\"]*)\"");
    private static final Pattern UNANSWERED =
            Pattern.compile("incomplete|FAILED|INCOMPLETE", Pattern.CASE_INSENSITIVE);
    private static final Pattern OWN_LINE =
            Pattern.compile("^\\s*Interface:|^\\s*Address\\s|ends |starts ");

    public NeighbourTable {
        neighbours = List.copyOf(neighbours);
        refused = List.copyOf(refused);
    }

    public static NeighbourTable parse(String text) {
        Reader reader = new Reader();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            reader.line(i + 1, lines.get(i));
        }
        return new NeighbourTable(List.copyOf(reader.found.values()), reader.refused);
    }

    /** Collects; a dhcpd lease spreads over several lines. */
    private static final class Reader {
        private final Map<Ipv4, Neighbour> found = new LinkedHashMap<>();
        private final List<Refused> refused = new ArrayList<>();
        private Optional<Ipv4> lease = Optional.empty();

        private void line(int number, String line) {
            Optional<String> address = first(ADDRESS, line);
            if (lease.isPresent()) {
                insideLease(line);
            } else if (address.isPresent() && !OWN_LINE.matcher(line).find()) {
                entry(number, line, address.get());
            }
        }

        private void insideLease(String line) {
            Neighbour known = found.get(lease.get());
            first(MAC, line).ifPresent(m -> put(known.address(), tidy(m), known.name()));
            first(HOST_NAME, line).ifPresent(n -> put(known.address(), known.mac(), n));
            lease = line.contains("}") ? Optional.empty() : lease;
        }

        private void entry(int number, String line, String text) {
            Ipv4 address;
            try {
                address = Ipv4.parse(text);
            } catch (TextRejected e) {
                refused.add(new Refused(number, line.strip(), e.reason()));
                return;
            }
            if (LEASE.matcher(line).find()) {
                put(address, "", "");
                lease = Optional.of(address);
                return;
            }
            Optional<String> mac = first(MAC, line).map(Reader::tidy);
            if (mac.isEmpty() && UNANSWERED.matcher(line).find()) {
                refused.add(new Refused(number, line.strip(), Reason.of("pasted.silent")));
            } else if (mac.isEmpty()) {
                refused.add(new Refused(number, line.strip(), Reason.of("pasted.no-mac")));
            } else if (isGroup(mac.get())) {
                refused.add(new Refused(number, line.strip(), Reason.of("pasted.group")));
            } else {
                put(address, mac.get(), name(line, text));
            }
        }

        private void put(Ipv4 address, String mac, String name) {
            found.put(address, new Neighbour(address, mac, name));
        }

        /** Before the address in brackets, or after it as in dnsmasq's lease file. */
        private static String name(String line, String address) {
            Optional<String> before = first(NAME_BEFORE, line);
            if (before.isPresent()) {
                return before.get();
            }
            List<String> words = List.of(line.strip().split("\\s+", -1));
            boolean leaseFile =
                    words.size() >= 4
                            && words.get(0).matches("\\d{9,}")
                            && words.get(2).equals(address);
            return leaseFile && !words.get(3).equals("*") ? words.get(3) : "";
        }

        private static Optional<String> first(Pattern pattern, String line) {
            Matcher matcher = pattern.matcher(line);
            return matcher.find() ? Optional.of(matcher.group(1)) : Optional.empty();
        }

        /**
         * Two digits an octet, colons, lower case: some systems leave zeros out or write dashes.
         */
        private static String tidy(String mac) {
            StringBuilder tidy = new StringBuilder();
            for (String octet : mac.split("[:-]", -1)) {
                tidy.append(tidy.isEmpty() ? "" : ":")
                        .append(octet.length() == 1 ? "0" : "")
                        .append(octet);
            }
            return tidy.toString().toLowerCase(Locale.ROOT);
        }

        /** The lowest bit of the first octet (IEEE 802). */
        private static boolean isGroup(String mac) {
            return (Integer.parseInt(mac.substring(0, 2), 16) & 1) == 1;
        }
    }
}
