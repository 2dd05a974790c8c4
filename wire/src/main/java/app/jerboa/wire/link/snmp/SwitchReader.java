package app.jerboa.wire.link.snmp;

import app.jerboa.wire.link.session.NoAnswer;
import app.jerboa.wire.link.snmp.SwitchTables.PortRow;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.snmp4j.CommunityTarget;
import org.snmp4j.PDU;
import org.snmp4j.Snmp;
import org.snmp4j.event.ResponseEvent;
import org.snmp4j.mp.SnmpConstants;
import org.snmp4j.smi.OID;
import org.snmp4j.smi.OctetString;
import org.snmp4j.smi.UdpAddress;
import org.snmp4j.smi.Variable;
import org.snmp4j.smi.VariableBinding;
import org.snmp4j.transport.DefaultUdpTransportMapping;

/**
 * Walks the tables of one switch: system (RFC 3418), interfaces (RFC 2863), bridge (RFC 4188),
 * power (RFC 3621), neighbours (IEEE 802.1AB). Reads only; bounded in rows and in time.
 */
public final class SwitchReader {
    private static final String DESCRIPTION = "1.3.6.1.2.1.1.1";
    private static final String NAME = "1.3.6.1.2.1.31.1.1.1.1";
    private static final String STATUS = "1.3.6.1.2.1.2.2.1.8";
    private static final String SPEED = "1.3.6.1.2.1.31.1.1.1.15";
    private static final String BRIDGE_PORT = "1.3.6.1.2.1.17.1.4.1.2";
    private static final String LEARNED = "1.3.6.1.2.1.17.4.3.1.2";
    private static final String POWER = "1.3.6.1.2.1.105.1.1.1.6";
    private static final String POWER_CLASS = "1.3.6.1.2.1.105.1.1.1.10";
    private static final String BUDGET = "1.3.6.1.2.1.105.1.3.1.1.2";
    private static final String GIVEN = "1.3.6.1.2.1.105.1.3.1.1.4";
    private static final String NEIGHBOUR = "1.0.8802.1.1.2.1.4.1.1.9";

    private static final int UP = 1;
    private static final int DELIVERING = 3;
    private static final int MOST_ROWS = 4_096;
    private static final int AT_ONCE = 40;
    private static final int MAC_OCTETS = 6;

    private final Snmp session;
    private final CommunityTarget<UdpAddress> target;

    private SwitchReader(Snmp session, CommunityTarget<UdpAddress> target) {
        this.session = session;
        this.target = target;
    }

    /**
     * @param community to read with
     * @param millis to wait for each answer; asked twice
     * @throws NoAnswer where it does not answer, or not in time
     */
    public static SwitchTables read(InetSocketAddress at, String community, int millis) {
        CommunityTarget<UdpAddress> target =
                new CommunityTarget<>(
                        new UdpAddress(at.getAddress(), at.getPort()), new OctetString(community));
        target.setVersion(SnmpConstants.version2c);
        target.setTimeout(millis);
        target.setRetries(1);
        try (Snmp session = new Snmp(new DefaultUdpTransportMapping())) {
            session.listen();
            return new SwitchReader(session, target).tables();
        } catch (IOException e) {
            throw new NoAnswer("no socket for SNMP: " + e.getMessage());
        }
    }

    private SwitchTables tables() throws IOException {
        Map<String, Variable> description = walk(DESCRIPTION);
        Map<String, Variable> names = walk(NAME);
        Map<String, Variable> status = walk(STATUS);
        Map<String, Variable> speeds = walk(SPEED);
        Map<String, List<String>> heard = heard();
        Map<String, String> neighbours = neighbours();
        Map<String, Variable> power = walk(POWER);
        Map<String, Variable> classes = walk(POWER_CLASS);
        List<PortRow> ports = new ArrayList<>();
        names.forEach(
                (index, name) ->
                        ports.add(
                                new PortRow(
                                        name.toString(),
                                        number(status.get(index)) == UP,
                                        number(speeds.get(index)),
                                        heard.getOrDefault(index, List.of()),
                                        neighbours.getOrDefault(index, ""),
                                        number(power.get("1." + index)) == DELIVERING,
                                        powerClass(classes.get("1." + index)))));
        return new SwitchTables(
                description.values().stream().findFirst().map(Variable::toString).orElse(""),
                sum(walk(BUDGET)),
                sum(walk(GIVEN)),
                ports);
    }

    /** The object counts classes from 1. */
    private static OptionalInt powerClass(Variable told) {
        long value = number(told);
        return value > 0 ? OptionalInt.of((int) value - 1) : OptionalInt.empty();
    }

    /** Of all its groups of ports. */
    private static long sum(Map<String, Variable> groups) {
        return groups.values().stream().mapToLong(SwitchReader::number).sum();
    }

    private static long number(Variable value) {
        return value == null ? 0 : value.toLong();
    }

    /** By interface: the forwarding table counts bridge ports, which are not interfaces. */
    private Map<String, List<String>> heard() throws IOException {
        Map<String, Variable> interfaces = walk(BRIDGE_PORT);
        Map<String, List<String>> heard = new HashMap<>();
        walk(LEARNED)
                .forEach(
                        (index, port) -> {
                            Variable at = interfaces.get(port.toString());
                            String mac = mac(index);
                            if (at != null && !mac.isEmpty()) {
                                heard.computeIfAbsent(at.toString(), x -> new ArrayList<>())
                                        .add(mac);
                            }
                        });
        return heard;
    }

    private static String mac(String index) {
        String[] parts = index.split("\\.", -1);
        if (parts.length != MAC_OCTETS) {
            return "";
        }
        List<String> octets = new ArrayList<>();
        for (String p : parts) {
            octets.add(String.format(Locale.ROOT, "%02x", Integer.parseInt(p)));
        }
        return String.join(":", octets);
    }

    /** Indexed by time mark, local port and number; the local port is the interface. */
    private Map<String, String> neighbours() throws IOException {
        Map<String, String> neighbours = new HashMap<>();
        walk(NEIGHBOUR)
                .forEach(
                        (index, name) -> {
                            String[] parts = index.split("\\.", -1);
                            if (parts.length == 3) {
                                neighbours.put(parts[1], name.toString());
                            }
                        });
        return neighbours;
    }

    /** A column by its index, in its order; empty where the switch has none. */
    private Map<String, Variable> walk(String column) throws IOException {
        OID root = new OID(column);
        Map<OID, Variable> found = new TreeMap<>();
        OID next = root;
        boolean more = true;
        while (more && found.size() < MOST_ROWS) {
            int before = found.size();
            for (VariableBinding b : after(next)) {
                if (!b.isException() && b.getOid().startsWith(root)) {
                    found.put(b.getOid(), b.getVariable());
                    next = b.getOid();
                } else {
                    more = false;
                }
            }
            more &= found.size() > before;
        }
        Map<String, Variable> byIndex = new LinkedHashMap<>();
        found.forEach(
                (oid, value) ->
                        byIndex.put(oid.toDottedString().substring(column.length() + 1), value));
        return byIndex;
    }

    private List<? extends VariableBinding> after(OID oid) throws IOException {
        PDU asked = new PDU();
        asked.setType(PDU.GETBULK);
        asked.setMaxRepetitions(AT_ONCE);
        asked.add(new VariableBinding(oid));
        ResponseEvent<UdpAddress> answer = session.send(asked, target);
        if (answer == null || answer.getResponse() == null) {
            throw new NoAnswer("no answer by SNMP");
        }
        return answer.getResponse().getAll();
    }
}
