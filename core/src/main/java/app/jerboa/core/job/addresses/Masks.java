package app.jerboa.core.job.addresses;

import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;

/** Masks as older sheets write them. */
final class Masks {
    private Masks() {}

    /**
     * @param mask for example {@code 255.255.255.0}
     * @throws TextRejected when its ones do not stand together at its start
     */
    static String prefix(String mask) {
        long bits = Ipv4.parse(mask).bits();
        int prefix = Long.bitCount(bits);
        long right = prefix == 0 ? 0 : 0xFFFF_FFFFL << (32 - prefix) & 0xFFFF_FFFFL;
        if (bits != right) {
            throw new TextRejected(mask, 0, Reason.of("text.mask"));
        }
        return Integer.toString(prefix);
    }
}
