package app.jerboa.core.job.addresses;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Subnet;

/**
 * One address of an interface of the machine that Jerboa runs on.
 *
 * @param link the interface, as the system calls it
 * @param prefix bits of its mask, as the system tells it; 0 to 32
 * @param loopback leads to this machine only
 */
public record OwnLink(String link, Ipv4 address, int prefix, boolean loopback) {
    /** What is sent to that address leaves here, without a router. */
    public boolean onLink(Ipv4 other) {
        return prefix >= Ipv4Subnet.WIDEST
                && prefix <= Ipv4Subnet.NARROWEST
                && Ipv4Subnet.of(address, prefix).contains(other);
    }

    /** The address with its prefix. */
    public String text() {
        return address + "/" + prefix;
    }
}
