package app.jerboa.wire.link.snmp;

import java.util.List;
import java.util.OptionalInt;

/**
 * What a network switch told of itself.
 *
 * @param description its sysDescr
 * @param budgetWatts that its supply gives in all; 0 where it tells none
 * @param givenWatts that it gives now (both RFC 3621, whole watts)
 */
public record SwitchTables(
        String description, long budgetWatts, long givenWatts, List<PortRow> ports) {
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
     * @param powerClass 0 to 8 of what it feeds; empty where it does not tell
     */
    public record PortRow(
            String name,
            boolean up,
            long megabits,
            List<String> heard,
            String neighbour,
            boolean powers,
            OptionalInt powerClass) {
        public PortRow {
            heard = List.copyOf(heard);
        }
    }
}
