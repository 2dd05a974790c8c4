package app.jerboa.core.net;

/** Consecutive addresses, both ends included. */
public record Ipv4Range(Ipv4 first, Ipv4 last) {
    public Ipv4Range {
        if (first.compareTo(last) > 0) {
            throw new IllegalArgumentException(
                    "a range must run upwards, got " + first + " to " + last);
        }
    }

    public static Ipv4Range of(Ipv4 only) {
        return new Ipv4Range(only, only);
    }

    public static Ipv4Range parse(String first, String last) {
        return new Ipv4Range(Ipv4.parse(first), Ipv4.parse(last));
    }

    public boolean contains(Ipv4 address) {
        return first.compareTo(address) <= 0 && address.compareTo(last) <= 0;
    }

    /** 1 to 2^32. */
    public long size() {
        return last.bits() - first.bits() + 1;
    }
}
