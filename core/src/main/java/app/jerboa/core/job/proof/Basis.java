package app.jerboa.core.job.proof;

/** The planned facts that observations rest on; topics of one basis share them. */
public enum Basis {
    /** Profile, planned address, prefix, gateway, MAC. */
    NETWORK,
    /** The network run with its ends, pins and cable, the network switch, PoE on. */
    LEAD,
    /** Control ID, baud, framing, protocol, serial run, profile. */
    SERIAL,
    /** Profile, and the way by which it is told things: address and port, or lead and number. */
    CONTROL,
    /** Controller, key, camera, protocol, port, address or ID of both. */
    KEY,
    /** Profile, how it is mounted, lens. */
    MOTION,
    /** Profile, lens, format, paint module, control route of paint. */
    PICTURE,
    /** Route of tally, input, switcher. */
    TALLY,
    /** Format, picture run, input, switcher. */
    INPUT,
    /** Address, stream path, codecs, format. */
    STREAM,
    /** Head, lens, parts, plate. */
    BALANCE,
    /** What happened to a device rests on nothing. */
    NOTHING
}
