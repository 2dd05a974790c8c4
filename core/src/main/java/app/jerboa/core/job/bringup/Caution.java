package app.jerboa.core.job.bringup;

/** What can hurt somebody or something in a step; local codes go before. */
public enum Caution {
    /** A head moves when it gets power. */
    HEAD_MOVES,
    /** It hangs overhead. */
    HEIGHT,
    /** Its power is put on the lead without asking what is at the other end. */
    PASSIVE_POWER,
    /** DC on bare wires. */
    DC_POLARITY,
    BATTERY,
    /** Motors must not be plugged in while they have power. */
    MOTOR_LEADS,
    /** The stick's centre is taken at power-up. */
    HANDS_OFF_STICK,
    /** A head that moves goes on moving when the lead that would stop it is pulled. */
    LEAD_PULLED,
    /** People may be in view. */
    PRIVACY,
    /** Nothing that controls belongs on the public internet. */
    PUBLIC_NETWORK
}
