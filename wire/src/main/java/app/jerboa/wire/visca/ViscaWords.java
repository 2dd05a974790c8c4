package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;

/** A frame in a few plain words, for the wire log. */
public final class ViscaWords {
    private static final ViscaRequest.Cases<String> REQUEST =
            new ViscaRequest.Cases<>() {
                @Override
                public String drive(ViscaRequest.Drive it) {
                    return it.stops()
                            ? "stop pan and tilt"
                            : "drive pan " + it.pan() + ", tilt " + it.tilt();
                }

                @Override
                public String zoom(ViscaRequest.Zoom it) {
                    return it.speed() == 0 ? "stop zoom" : "zoom " + it.speed();
                }

                @Override
                public String home(ViscaRequest.Home it) {
                    return "home";
                }

                @Override
                public String clear(ViscaRequest.Clear it) {
                    return "clear buffers";
                }

                @Override
                public String askVersion(ViscaRequest.AskVersion it) {
                    return "ask version";
                }

                @Override
                public String askPanTilt(ViscaRequest.AskPanTilt it) {
                    return "ask pan-tilt position";
                }

                @Override
                public String askZoom(ViscaRequest.AskZoom it) {
                    return "ask zoom position";
                }

                @Override
                public String sent(ViscaRequest.Sent it) {
                    return it.message().words(it.values());
                }
            };

    private static final ViscaReply.Cases<String> REPLY =
            new ViscaReply.Cases<>() {
                @Override
                public String ack(ViscaReply.Ack it) {
                    return "acknowledged, socket " + it.socket();
                }

                @Override
                public String completed(ViscaReply.Completed it) {
                    return "completed, socket " + it.socket();
                }

                @Override
                public String refused(ViscaReply.Refused it) {
                    return "refused: " + it.error().words();
                }

                @Override
                public String answer(ViscaReply.Answer it) {
                    return "answer " + it.payload();
                }

                @Override
                public String addressesSet(ViscaReply.AddressesSet it) {
                    return it.cameras() + " cameras have taken their numbers";
                }

                @Override
                public String networkChanged(ViscaReply.NetworkChanged it) {
                    return "the chain has changed";
                }
            };

    public static final String NOT_UNDERSTOOD = "not understood";

    private ViscaWords() {}

    public static String of(ViscaRequest request) {
        return request.match(REQUEST);
    }

    public static String of(ViscaReply reply) {
        return reply.match(REPLY);
    }

    /** What a control packet of the header form was answered with. */
    public static String ofControlReply(Octets payload) {
        if (payload.equals(IpPacket.RESET)) {
            return "sequence started";
        }
        if (payload.equals(IpPacket.SEQUENCE_ERROR)) {
            return "refused: sequence number";
        }
        return payload.equals(IpPacket.MESSAGE_ERROR)
                ? "refused: message not readable"
                : "control reply not understood";
    }

    /** Either direction; unreadable frames say so. */
    public static String of(Octets frame) {
        return ViscaRequest.decode(frame)
                .toOptional()
                .map(a -> of(a.request()))
                .or(() -> ViscaReply.decode(frame).toOptional().map(ViscaWords::of))
                .orElse(NOT_UNDERSTOOD);
    }
}
