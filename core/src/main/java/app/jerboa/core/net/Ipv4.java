package app.jerboa.core.net;

import app.jerboa.core.value.Reason;
import app.jerboa.core.value.TextRejected;

/** An IPv4 address as its 32 bits, 0 to 4,294,967,295. Sorts as people read it. */
public record Ipv4(long bits) implements Comparable<Ipv4> {
    private static final int OCTETS = 4;

    public Ipv4 {
        if (bits < 0 || bits > 0xFFFF_FFFFL) {
            throw new IllegalArgumentException("an IPv4 address has 32 bits, got " + bits);
        }
    }

    /**
     * Four decimal octets with dots and nothing else: no spaces, no leading zeros (some programs
     * read {@code 010} as eight).
     *
     * @throws TextRejected at the first character that does not fit
     */
    public static Ipv4 parse(String text) {
        return parse(text, text, 0);
    }

    /**
     * As {@link #parse(String)} for a part of a longer text, so that the index points into the
     * whole.
     */
    static Ipv4 parse(String text, String whole, int offset) {
        long bits = 0;
        int at = 0;
        for (int octet = 0; octet < OCTETS; octet++) {
            if (octet > 0) {
                if (at >= text.length() || text.charAt(at) != '.') {
                    throw new TextRejected(whole, offset + at, Reason.of("text.four-numbers"));
                }
                at++;
            }
            int end = at;
            while (end < text.length() && isDigit(text.charAt(end))) {
                end++;
            }
            bits = (bits << 8) | octet(text.substring(at, end), whole, offset + at);
            at = end;
        }
        if (at < text.length()) {
            throw new TextRejected(whole, offset + at, Reason.of("text.after-fourth"));
        }
        return new Ipv4(bits);
    }

    private static int octet(String digits, String whole, int index) {
        if (digits.isEmpty()) {
            throw new TextRejected(whole, index, Reason.of("text.octet"));
        }
        if (digits.length() > 1 && digits.charAt(0) == '0') {
            throw new TextRejected(whole, index, Reason.of("text.octet-zeros"));
        }
        if (digits.length() > 3 || Integer.parseInt(digits) > 255) {
            throw new TextRejected(whole, index, Reason.of("text.octet-most"));
        }
        return Integer.parseInt(digits);
    }

    static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    /** The address {@code hosts} further up; negative goes down. */
    public Ipv4 plus(long hosts) {
        return new Ipv4(Math.addExact(bits, hosts));
    }

    public int lastOctet() {
        return (int) (bits & 0xFF);
    }

    @Override
    public int compareTo(Ipv4 other) {
        return Long.compare(bits, other.bits);
    }

    @Override
    public String toString() {
        return (bits >> 24)
                + "."
                + ((bits >> 16) & 0xFF)
                + "."
                + ((bits >> 8) & 0xFF)
                + "."
                + lastOctet();
    }
}
