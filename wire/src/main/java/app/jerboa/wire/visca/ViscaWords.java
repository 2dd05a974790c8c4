package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Octets;
import java.util.Locale;
import java.util.Optional;

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

                @Override
                public String raw(ViscaRequest.Raw it) {
                    Octets frame = it.encode(1);
                    return ViscaRequest.decode(frame)
                            .toOptional()
                            .map(a -> of(a.request()))
                            .orElse("octets as typed");
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

    /** What an answer says to what was asked; empty where nobody here knows. */
    public static Optional<String> of(ViscaRequest asked, ViscaReply.Answer answer) {
        Octets payload = answer.payload();
        if (asked instanceof ViscaRequest.AskPanTilt) {
            return PanTilt.decode(payload)
                    .toOptional()
                    .map(at -> "pan " + at.pan() + ", tilt " + at.tilt() + " counts");
        } else if (asked instanceof ViscaRequest.AskZoom) {
            return ZoomPosition.decode(payload)
                    .toOptional()
                    .map(z -> "zoom at " + z.counts() + " of " + ZoomPosition.TELE);
        } else if (asked instanceof ViscaRequest.AskVersion) {
            return Version.decode(payload)
                    .toOptional()
                    .map(
                            v ->
                                    String.format(
                                            Locale.ROOT,
                                            "model %04X, ROM %04X",
                                            v.model(),
                                            v.rom()));
        } else if (asked instanceof ViscaRequest.Sent sent) {
            return sent.message()
                    .answer()
                    .decode(payload)
                    .toOptional()
                    .map(v -> String.format(Locale.ROOT, "value %d (%02Xh)", v, v));
        } else if (asked instanceof ViscaRequest.Raw raw) {
            return ViscaRequest.decode(raw.encode(1))
                    .toOptional()
                    .flatMap(a -> of(a.request(), answer));
        }
        return Optional.empty();
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
