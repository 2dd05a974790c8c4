package app.jerboa.standin.asked;

import java.util.List;
import java.util.OptionalInt;

/**
 * One port of a network switch, as it tells it.
 *
 * @param index from 1, in the order of its sockets
 * @param on it is switched on; {@code up} its light is on
 * @param heard MAC addresses behind it
 * @param neighbour name of the network switch at its other end; blank for none
 * @param powered class 0 to 8 of what it feeds; empty where it feeds nothing
 * @param feeds it can give power at all
 */
public record SwitchPort(
        int index,
        String name,
        boolean on,
        boolean up,
        List<String> heard,
        String neighbour,
        boolean feeds,
        OptionalInt powered) {}
