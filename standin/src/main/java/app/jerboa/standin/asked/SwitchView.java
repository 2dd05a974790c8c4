package app.jerboa.standin.asked;

import java.util.List;

/**
 * A managed network switch, as SNMP sees it.
 *
 * @param budgetWatts that it gives in all; 0 for one that gives none
 */
public record SwitchView(
        String name,
        String description,
        double budgetWatts,
        double givenWatts,
        List<SwitchPort> ports) {
    /** What SNMP may do to it. */
    public interface Hands {
        SwitchView view();

        /** Its agent answers at all. */
        boolean tells();

        /**
         * @return false where nothing switches that port
         */
        boolean port(String name, boolean on);
    }
}
