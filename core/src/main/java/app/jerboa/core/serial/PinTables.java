package app.jerboa.core.serial;

import app.jerboa.core.serial.PinTable.Wire;
import java.util.ArrayList;
import java.util.List;

/** The usual leads, pin to pin. Signals are those of the first plug. */
public final class PinTables {
    /** Pins 1 to 8 by TIA-568, arrangement A. */
    private static final List<String> T568A =
            List.of(
                    "white-green",
                    "green",
                    "white-orange",
                    "blue",
                    "white-blue",
                    "orange",
                    "white-brown",
                    "brown");

    /** Pins 1 to 8 by TIA-568, arrangement B. */
    private static final List<String> T568B =
            List.of(
                    "white-orange",
                    "orange",
                    "white-green",
                    "blue",
                    "white-blue",
                    "green",
                    "white-brown",
                    "brown");

    /** Of an 8-pin mini-DIN socket for VISCA. */
    private static final String DTR = "DTR";

    private static final String DSR = "DSR";
    private static final String TXD = "TXD";
    private static final String RXD = "RXD";
    private static final String GND = "GND";

    public static final List<PinTable> ALL =
            List.of(
                    new PinTable(
                            "controller-to-camera",
                            "Computer or stick to first camera",
                            "9-pin D, female",
                            "8-pin mini-DIN, IN",
                            List.of(
                                    new Wire("2", RXD, "3", ""),
                                    new Wire("3", TXD, "5", ""),
                                    new Wire("4", DTR, "2", ""),
                                    new Wire("5", GND, "4", ""),
                                    new Wire("6", DSR, "1", ""))),
                    new PinTable(
                            "cascade",
                            "Camera to next camera",
                            "8-pin mini-DIN, OUT",
                            "8-pin mini-DIN, IN",
                            List.of(
                                    new Wire("1", DTR, "2", ""),
                                    new Wire("2", DSR, "1", ""),
                                    new Wire("3", TXD, "5", ""),
                                    new Wire("4", GND, "4", ""),
                                    new Wire("5", RXD, "3", ""),
                                    new Wire("6", GND, "6", ""))),
                    new PinTable(
                            "extension",
                            "9-pin extension, straight",
                            "9-pin D, male",
                            "9-pin D, female",
                            straight(9)),
                    new PinTable(
                            "breakout-232",
                            "RS-232 over a data cable, at each end",
                            "9-pin D",
                            "RJ45 made as T568B",
                            List.of(
                                    new Wire("2", RXD, "3", T568B.get(2)),
                                    new Wire("3", TXD, "1", T568B.get(0)),
                                    // Each signal is twisted with ground, not with the other.
                                    new Wire(
                                            "5",
                                            GND,
                                            "2 and 6",
                                            T568B.get(1) + " and " + T568B.get(5)))),
                    new PinTable(
                            "breakout-485",
                            "RS-485 over a data cable, at each end",
                            "Terminals",
                            "RJ45 made as T568B",
                            List.of(
                                    new Wire("+", "data +", "4", T568B.get(3)),
                                    new Wire("-", "data -", "5", T568B.get(4)),
                                    new Wire("ground", GND, "8", T568B.get(7)))),
                    new PinTable(
                            "t568b", "Network, T568B at both ends", "RJ45", "RJ45", data(T568B)),
                    new PinTable(
                            "t568a", "Network, T568A at both ends", "RJ45", "RJ45", data(T568A)));

    private PinTables() {}

    private static List<Wire> straight(int pins) {
        List<Wire> wires = new ArrayList<>();
        for (int pin = 1; pin <= pins; pin++) {
            wires.add(new Wire(Integer.toString(pin), "", Integer.toString(pin), ""));
        }
        return wires;
    }

    private static List<Wire> data(List<String> colours) {
        List<Wire> wires = new ArrayList<>();
        for (int pin = 1; pin <= colours.size(); pin++) {
            String number = Integer.toString(pin);
            wires.add(new Wire(number, "pair " + pair(pin), number, colours.get(pin - 1)));
        }
        return wires;
    }

    /** Which contacts belong to one twisted pair: 4-5, 1-2, 3-6, 7-8. */
    private static String pair(int pin) {
        return switch (pin) {
            case 4, 5 -> "4-5";
            case 1, 2 -> "1-2";
            case 3, 6 -> "3-6";
            default -> "7-8";
        };
    }
}
