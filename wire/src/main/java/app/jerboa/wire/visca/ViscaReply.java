package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;

/** What a camera answers. */
public sealed interface ViscaReply {
    <R> R match(Cases<R> cases);

    /** One case a reply. */
    interface Cases<R> {
        R ack(Ack it);

        R completed(Completed it);

        R refused(Refused it);

        R answer(Answer it);

        R addressesSet(AddressesSet it);

        R networkChanged(NetworkChanged it);
    }

    Octets body();

    /** The whole frame, from camera 1 to 7 to the controller. */
    default Octets encode(int camera) {
        if (camera < 1 || camera > 7) {
            throw new IllegalArgumentException("a camera's address is 1 to 7, got " + camera);
        }
        return body().between((camera + 8) << 4, ViscaFramer.END);
    }

    static Decoded<ViscaReply> decode(Octets frame) {
        Decoded<ViscaReply> back = AddressesSet.read(frame);
        if (back instanceof Decoded.Accepted) {
            return back;
        }
        boolean whole = frame.size() >= 3 && frame.at(frame.size() - 1) == ViscaFramer.END;
        boolean fromCamera =
                whole && frame.at(0) >= 0x90 && frame.at(0) <= 0xF0 && (frame.at(0) & 0x0F) == 0;
        if (!fromCamera) {
            return Decoded.rejected(frame, "not a frame from a camera");
        }
        int low = frame.at(1) & 0x0F;
        return switch (frame.at(1) & 0xF0) {
            case 0x40 -> exact(frame, new Ack(low));
            case 0x50 ->
                    frame.size() == 3
                            ? exact(frame, new Completed(low))
                            : exact(frame, new Answer(frame.slice(2, frame.size() - 1)));
            case 0x60 -> refused(frame, low);
            case 0x30 -> exact(frame, new NetworkChanged());
            default -> Decoded.rejected(frame, "no reply known by these octets");
        };
    }

    private static Decoded<ViscaReply> refused(Octets frame, int socket) {
        if (frame.size() != 4) {
            return Decoded.rejected(frame, "an error reply has 4 octets");
        }
        return ViscaError.fromWire(frame.at(2))
                .map(e -> exact(frame, new Refused(socket, e)))
                .orElseGet(() -> Decoded.rejected(frame, "unknown error number"));
    }

    private static Decoded<ViscaReply> exact(Octets frame, ViscaReply reply) {
        boolean same = frame.slice(1, frame.size() - 1).equals(reply.body());
        return same ? Decoded.accepted(reply) : Decoded.rejected(frame, "octets left over");
    }

    /** The command was taken. */
    record Ack(int socket) implements ViscaReply {
        @Override
        public Octets body() {
            return Octets.of(0x40 | socket);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.ack(this);
        }
    }

    /** The command is done. */
    record Completed(int socket) implements ViscaReply {
        @Override
        public Octets body() {
            return Octets.of(0x50 | socket);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.completed(this);
        }
    }

    /** The command or inquiry was refused. */
    record Refused(int socket, ViscaError error) implements ViscaReply {
        @Override
        public Octets body() {
            return Octets.of(0x60 | socket, error.wire());
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.refused(this);
        }
    }

    /** What an inquiry brought, not yet read: which inquiry it answers says how. */
    record Answer(Octets payload) implements ViscaReply {
        @Override
        public Octets body() {
            return Octets.of(0x50).plus(payload);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.answer(this);
        }
    }

    /**
     * An address-set came back from the end of a chain.
     *
     * @param cameras that took a number, 0 to 7
     */
    record AddressesSet(int cameras) implements ViscaReply {
        private static final int CHAIN = 7;
        private static final int BROADCAST = 0x88;
        private static final int ADDRESS_SET = 0x30;

        public AddressesSet {
            if (cameras < 0 || cameras > CHAIN) {
                throw new IllegalArgumentException("a chain has 0 to 7 cameras, got " + cameras);
            }
        }

        private static Decoded<ViscaReply> read(Octets frame) {
            boolean back =
                    frame.size() == 4
                            && frame.at(0) == BROADCAST
                            && frame.at(1) == ADDRESS_SET
                            && frame.at(2) >= 1
                            && frame.at(2) <= CHAIN + 1
                            && frame.at(3) == ViscaFramer.END;
            return back
                    ? Decoded.accepted(new AddressesSet(frame.at(2) - 1))
                    : Decoded.rejected(frame, "no address-set that came back");
        }

        @Override
        public Octets body() {
            return Octets.of(ADDRESS_SET, cameras + 1);
        }

        /** It is no camera's own: it goes round as a broadcast. */
        @Override
        public Octets encode(int camera) {
            return Octets.of(BROADCAST).plus(body()).plus(Octets.of(ViscaFramer.END));
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.addressesSet(this);
        }
    }

    /** A camera joined or left a chain: its numbers should be given anew. */
    record NetworkChanged() implements ViscaReply {
        @Override
        public Octets body() {
            return Octets.of(0x38);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.networkChanged(this);
        }
    }
}
