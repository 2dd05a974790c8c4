package app.jerboa.core.serial;

import java.util.List;

/**
 * One lead as a wiring table, to make it or to check it with a meter.
 *
 * @param one the plug at one end
 * @param other the plug at the other
 */
public record PinTable(String id, String name, String one, String other, List<Wire> wires) {
    public PinTable {
        wires = List.copyOf(wires);
    }

    /**
     * One conductor.
     *
     * @param colour where a standard names one; else blank
     */
    public record Wire(String one, String signal, String other, String colour) {}
}
