package app.jerboa.wire.link.snmp;

import java.util.List;

/**
 * What a network switch told of itself.
 *
 * @param description its sysDescr
 */
public record SwitchTables(String description, List<PortRow> ports) {
    public SwitchTables {
        ports = List.copyOf(ports);
    }

    /**
     * One interface.
     *
     * @param name its ifName
     * @param up its ifOperStatus
     * @param megabits its ifHighSpeed; 0 while it is down or where it is not told
     * @param heard MAC addresses that its bridge has learned there, lower case with colons
     * @param neighbour sysName of who announced itself there by LLDP; blank for nobody
     * @param powers it gives power over Ethernet just now
     */
    public record PortRow(
            String name,
            boolean up,
            long megabits,
            List<String> heard,
            String neighbour,
            boolean powers) {
        public PortRow {
            heard = List.copyOf(heard);
        }
    }
}
