package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;

/** What a camera says it is: numbers of 16 bits, sockets of 8. */
public record Version(int vendor, int model, int rom, int sockets) {
    public ViscaReply.Answer answer() {
        return new ViscaReply.Answer(
                Octets.of(
                        vendor >> 8,
                        vendor & 0xFF,
                        model >> 8,
                        model & 0xFF,
                        rom >> 8,
                        rom & 0xFF,
                        sockets));
    }

    public static Decoded<Version> decode(Octets payload) {
        return payload.size() == 7
                ? Decoded.accepted(
                        new Version(
                                pair(payload, 0),
                                pair(payload, 2),
                                pair(payload, 4),
                                payload.at(6)))
                : Decoded.rejected(payload, "a version answer has 7 octets");
    }

    private static int pair(Octets payload, int at) {
        return payload.at(at) << 8 | payload.at(at + 1);
    }
}
