package app.jerboa.standin.controller;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.profile.Protocol;
import java.util.Optional;

/**
 * What somebody entered in a controller for one key, or in a recorder for one channel.
 *
 * @param address empty for one on a serial lead
 * @param port of UDP or TCP; 0 on a serial lead
 * @param number it answers to on a serial lead
 * @param name on its display; may be blank
 */
public record Entry(Optional<Ipv4> address, int port, Protocol protocol, int number, String name) {
    /** The entry of the key that is so many further on, in one that counts up. */
    Entry counted(int further) {
        return new Entry(address.map(a -> a.plus(further)), port, protocol, number, name);
    }
}
