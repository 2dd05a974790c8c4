package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.List;
import java.util.Optional;

/**
 * The form of VISCA over UDP with an 8-octet header: type, length, sequence, payload.
 *
 * @param sequence 0 to 2^32 - 1
 * @param payload 1 to 16 octets
 */
public record IpPacket(Type type, long sequence, Octets payload) {
    /** UDP port by the protocol. */
    public static final int PORT = 52381;

    public static final long SEQUENCES = 1L << 32;
    private static final int HEADER = 8;

    /** Payload of a control packet that starts the sequence anew, and of its reply. */
    public static final Octets RESET = Octets.of(0x01);

    /** Control reply: the sequence number was not what was expected. */
    public static final Octets SEQUENCE_ERROR = Octets.of(0x0F, 0x01);

    /** Control reply: the message could not be read. */
    public static final Octets MESSAGE_ERROR = Octets.of(0x0F, 0x02);

    /** What the payload is. */
    public enum Type {
        COMMAND(0x0100),
        INQUIRY(0x0110),
        REPLY(0x0111),
        DEVICE_SETTING(0x0120),
        CONTROL(0x0200),
        CONTROL_REPLY(0x0201);

        private static final List<Type> ALL = List.of(values());

        private final int wire;

        Type(int wire) {
            this.wire = wire;
        }

        public int wire() {
            return wire;
        }

        public static Optional<Type> fromWire(int number) {
            for (Type type : ALL) {
                if (type.wire == number) {
                    return Optional.of(type);
                }
            }
            return Optional.empty();
        }
    }

    public IpPacket {
        if (sequence < 0 || sequence >= SEQUENCES) {
            throw new IllegalArgumentException("a sequence has 32 bits, got " + sequence);
        }
        if (payload.size() < 1 || payload.size() > ViscaFramer.LONGEST) {
            throw new IllegalArgumentException(
                    "a payload has 1 to 16 octets, got " + payload.size());
        }
    }

    public Octets encode() {
        return Octets.of(
                        type.wire >> 8,
                        type.wire & 0xFF,
                        payload.size() >> 8,
                        payload.size() & 0xFF,
                        (int) (sequence >> 24 & 0xFF),
                        (int) (sequence >> 16 & 0xFF),
                        (int) (sequence >> 8 & 0xFF),
                        (int) (sequence & 0xFF))
                .plus(payload);
    }

    public static Decoded<IpPacket> decode(Octets datagram) {
        int length = datagram.size() - HEADER;
        if (length < 1 || length > ViscaFramer.LONGEST) {
            return Decoded.rejected(datagram, "header and 1 to 16 octets expected");
        }
        if ((datagram.at(2) << 8 | datagram.at(3)) != length) {
            return Decoded.rejected(datagram, "the length field does not fit");
        }
        long sequence =
                (long) datagram.at(4) << 24
                        | datagram.at(5) << 16
                        | datagram.at(6) << 8
                        | datagram.at(7);
        return Type.fromWire(datagram.at(0) << 8 | datagram.at(1))
                .map(t -> new IpPacket(t, sequence, datagram.slice(HEADER, datagram.size())))
                .map(Decoded::accepted)
                .orElseGet(() -> Decoded.rejected(datagram, "unknown payload type"));
    }
}
