package app.jerboa.standin.serial;

/** What goes wrong on a serial line. */
public enum LineFault {
    /** At one device: its IN and OUT are changed over; neither it nor what is behind it hears. */
    REVERSED,
    /** At one device: the lead to it is broken. */
    BROKEN,
    /** At one device of a bus: + and - are changed over. */
    PAIR_SWAPPED,
    /** At one device: the lead to it is too long, and octets arrive damaged. */
    NOISY,
    /** At one device: it hears, and what it says is lost. */
    ONE_WAY,
    /** Of the whole bus: no resistor at its end, which tells at high rates. */
    NO_TERMINATOR,
    /** Of the whole line: two wires, and what is sent comes back. */
    ECHO,
    /** Of the serial server: its port is a terminal and doubles FF. */
    TERMINAL
}
