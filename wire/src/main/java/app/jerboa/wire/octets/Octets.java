package app.jerboa.wire.octets;

import java.util.Arrays;
import java.util.HexFormat;

/** Bytes as a value: copied in and out, compared by content, printed as hex. */
public final class Octets {
    private static final HexFormat HEX = HexFormat.ofDelimiter(" ").withUpperCase();

    private final byte[] bytes;

    private Octets(byte[] bytes) {
        this.bytes = bytes;
    }

    public static Octets of(byte[] bytes) {
        return new Octets(bytes.clone());
    }

    /**
     * @param values 0 to 255 each
     */
    public static Octets of(int... values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            if (values[i] < 0 || values[i] > 0xFF) {
                throw new IllegalArgumentException("an octet is 0 to 255, got " + values[i]);
            }
            bytes[i] = (byte) values[i];
        }
        return new Octets(bytes);
    }

    /**
     * The octets of a number, the highest first: what goes out twenty times a second is made
     * without a list of its parts.
     *
     * @param size 1 to 8
     */
    public static Octets packed(long octets, int size) {
        byte[] bytes = new byte[size];
        fill(bytes, 0, octets, size);
        return new Octets(bytes);
    }

    /**
     * As above, with one octet before and one behind them.
     *
     * @param first and {@code last} 0 to 255
     */
    public static Octets packedBetween(int first, long octets, int size, int last) {
        byte[] bytes = new byte[size + 2];
        bytes[0] = (byte) first;
        fill(bytes, 1, octets, size);
        bytes[size + 1] = (byte) last;
        return new Octets(bytes);
    }

    private static void fill(byte[] bytes, int from, long octets, int size) {
        for (int i = 0; i < size; i++) {
            bytes[from + i] = (byte) (octets >> Byte.SIZE * (size - 1 - i));
        }
    }

    /** Reads {@code "81 09 04 47 FF"}. */
    public static Octets ofHex(String hex) {
        return new Octets(HEX.parseHex(hex));
    }

    public int size() {
        return bytes.length;
    }

    /**
     * These with one octet before and one behind them.
     *
     * @param first and {@code last} 0 to 255
     */
    public Octets between(int first, int last) {
        byte[] all = new byte[bytes.length + 2];
        all[0] = (byte) first;
        System.arraycopy(bytes, 0, all, 1, bytes.length);
        all[all.length - 1] = (byte) last;
        return new Octets(all);
    }

    /** 0 to 255. */
    public int at(int index) {
        return bytes[index] & 0xFF;
    }

    /** From {@code from} (included) to {@code to} (not included). */
    public Octets slice(int from, int to) {
        return new Octets(Arrays.copyOfRange(bytes, from, to));
    }

    public Octets plus(Octets more) {
        byte[] joined = Arrays.copyOf(bytes, bytes.length + more.bytes.length);
        System.arraycopy(more.bytes, 0, joined, bytes.length, more.bytes.length);
        return new Octets(joined);
    }

    public byte[] toArray() {
        return bytes.clone();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Octets that && Arrays.equals(bytes, that.bytes);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(bytes);
    }

    @Override
    public String toString() {
        return HEX.formatHex(bytes);
    }
}
