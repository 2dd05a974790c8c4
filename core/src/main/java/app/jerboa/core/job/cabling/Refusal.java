package app.jerboa.core.job.cabling;

/** Why two sockets cannot be joined, worst first. */
public enum Refusal {
    /** The profile has no socket of that name. */
    NO_PORT,
    /** A socket with itself. */
    SELF,
    /** A console port: for a technician's lead, never for the network. */
    CONSOLE,
    /** A serial lead into a network port, where power may be waiting. */
    SERIAL_INTO_NETWORK,
    /** OUT to OUT or IN to IN of a serial chain. */
    SERIAL_DIRECTION,
    /** Two that give or two that take. */
    DIRECTION,
    /** Sockets of different kinds. */
    KIND,
    /** A cable that does not carry it. */
    CABLE,
    /** Something is in that socket already. */
    TWICE
}
