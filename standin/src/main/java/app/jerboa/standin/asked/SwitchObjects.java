package app.jerboa.standin.asked;

import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.snmp4j.smi.Gauge32;
import org.snmp4j.smi.Integer32;
import org.snmp4j.smi.OID;
import org.snmp4j.smi.OctetString;
import org.snmp4j.smi.Variable;

/**
 * The objects of a switch in the order of their identifiers: system (RFC 3418), interfaces (RFC
 * 2863), bridge ports and forwarding (RFC 4188), power (RFC 3621), neighbours (IEEE 802.1AB).
 */
final class SwitchObjects {
    private static final String SYSTEM = "1.3.6.1.2.1.1.";
    private static final String INTERFACES = "1.3.6.1.2.1.2.2.1.";
    private static final String NAMES = "1.3.6.1.2.1.31.1.1.1.";
    private static final String BRIDGE_PORT = "1.3.6.1.2.1.17.1.4.1.2.";
    private static final String FORWARDING = "1.3.6.1.2.1.17.4.3.1.";
    private static final String POWER_PORT = "1.3.6.1.2.1.105.1.1.1.";
    private static final String POWER_MAIN = "1.3.6.1.2.1.105.1.3.1.1.";
    private static final String NEIGHBOUR = "1.0.8802.1.1.2.1.4.1.1.";

    private static final String ADMIN = INTERFACES + "7.";
    private static final String POWER_ADMIN = POWER_PORT + "3.1.";

    private static final int ETHERNET = 6;
    private static final long GIGABIT = 1_000_000_000L;
    private static final int YES = 1;
    private static final int NO = 2;
    private static final int LEARNED = 3;
    private static final int DISABLED = 1;
    private static final int SEARCHING = 2;
    private static final int DELIVERING = 3;

    private SwitchObjects() {}

    static NavigableMap<OID, Variable> of(SwitchView view) {
        NavigableMap<OID, Variable> all = new TreeMap<>();
        text(all, SYSTEM + "1.0", view.description());
        text(all, SYSTEM + "5.0", view.name());
        view.ports().forEach(p -> port(all, p));
        if (view.budgetWatts() > 0) {
            gauge(all, POWER_MAIN + "2.1", Math.round(view.budgetWatts()));
            number(all, POWER_MAIN + "3.1", YES);
            gauge(all, POWER_MAIN + "4.1", Math.round(view.givenWatts()));
        }
        return all;
    }

    private static void port(NavigableMap<OID, Variable> all, SwitchPort p) {
        int i = p.index();
        number(all, INTERFACES + "1." + i, i);
        text(all, INTERFACES + "2." + i, p.name());
        number(all, INTERFACES + "3." + i, ETHERNET);
        gauge(all, INTERFACES + "5." + i, p.up() ? GIGABIT : 0);
        number(all, ADMIN + i, p.on() ? YES : NO);
        number(all, INTERFACES + "8." + i, p.up() ? YES : NO);
        text(all, NAMES + "1." + i, p.name());
        gauge(all, NAMES + "15." + i, p.up() ? GIGABIT / 1_000_000 : 0);
        number(all, BRIDGE_PORT + i, i);
        p.heard().forEach(mac -> heard(all, mac, i));
        if (p.feeds()) {
            boolean gives = p.powered().isPresent();
            number(all, POWER_ADMIN + i, p.on() ? YES : NO);
            number(
                    all,
                    POWER_PORT + "6.1." + i,
                    p.on() ? (gives ? DELIVERING : SEARCHING) : DISABLED);
            p.powered().ifPresent(c -> number(all, POWER_PORT + "10.1." + i, c + 1));
        }
        if (!p.neighbour().isEmpty()) {
            text(all, NEIGHBOUR + "9.0." + i + ".1", p.neighbour());
        }
    }

    private static void heard(NavigableMap<OID, Variable> all, String mac, int port) {
        String[] octets = mac.split(":", -1);
        if (octets.length != 6) {
            return;
        }
        StringBuilder index = new StringBuilder();
        for (String o : octets) {
            index.append('.').append(Integer.parseInt(o, 16));
        }
        all.put(
                new OID(FORWARDING + "1" + index),
                OctetString.fromHexString(mac.toLowerCase(Locale.ROOT), ':'));
        number(all, FORWARDING + "2" + index, port);
        number(all, FORWARDING + "3" + index, LEARNED);
    }

    /** The port that an identifier switches, where it switches one. */
    static Optional<SwitchPort> switched(OID asked, List<SwitchPort> ports) {
        String text = asked.toDottedString();
        return ports.stream()
                .filter(
                        p ->
                                text.equals(ADMIN + p.index())
                                        || p.feeds() && text.equals(POWER_ADMIN + p.index()))
                .findFirst();
    }

    private static void text(NavigableMap<OID, Variable> all, String oid, String value) {
        all.put(new OID(oid), new OctetString(value));
    }

    private static void number(NavigableMap<OID, Variable> all, String oid, int value) {
        all.put(new OID(oid), new Integer32(value));
    }

    private static void gauge(NavigableMap<OID, Variable> all, String oid, long value) {
        all.put(new OID(oid), new Gauge32(value));
    }
}
