package app.jerboa.wire.link.session;

import app.jerboa.wire.octets.Octets;
import app.jerboa.wire.visca.IpPacket;
import app.jerboa.wire.visca.ViscaError;
import app.jerboa.wire.visca.ViscaMessage;
import app.jerboa.wire.visca.ViscaReply;
import app.jerboa.wire.visca.ViscaRequest;
import app.jerboa.wire.visca.ViscaWords;
import java.util.Optional;

/** VISCA in datagrams with its header, or in bare frames, to one camera. */
final class ViscaDialect implements Dialect<ViscaRequest, ViscaReply> {
    /** Resend after this long without an answer. */
    static final int TIMEOUT_MILLIS = 250;

    static final int TRIES = 3;

    /** A stop is repeated faster at first: 40 times 75 ms, then like all else, until answered. */
    private static final int STOP_TIMEOUT_MILLIS = 75;

    private static final int QUICK_STOPS = 40;

    /** Of the one camera of a network link. */
    static final int ONLY_CAMERA = 1;

    static final ViscaRequest FOCUS_STOP = ViscaRequest.Sent.of(ViscaMessage.FOCUS_STOP);

    private final Form form;
    private final int camera;
    private final int extraMillis;

    /**
     * @param camera 1 to 7
     * @param extraMillis what waiting for its turn and the wire itself add to an answer's time
     */
    ViscaDialect(Form form, int camera, int extraMillis) {
        this.form = form;
        this.camera = camera;
        this.extraMillis = extraMillis;
    }

    static boolean stops(ViscaRequest request) {
        return request.equals(ViscaRequest.Drive.STOP)
                || request.equals(ViscaRequest.Zoom.STOP)
                || request.equals(FOCUS_STOP)
                || request instanceof ViscaRequest.Raw raw && raw.stops();
    }

    @Override
    public long sequences() {
        return IpPacket.SEQUENCES;
    }

    @Override
    public Octets encode(ViscaRequest request, long sequence) {
        Octets frame = request.encode(camera);
        if (form == Form.RAW) {
            return frame;
        }
        IpPacket.Type type = request.inquiry() ? IpPacket.Type.INQUIRY : IpPacket.Type.COMMAND;
        return new IpPacket(type, sequence, frame).encode();
    }

    @Override
    public Heard<ViscaReply> read(Octets datagram) {
        return form == Form.RAW
                ? frame(datagram, Optional.empty())
                : IpPacket.decode(datagram)
                        .toOptional()
                        .map(ViscaDialect::packet)
                        .orElseGet(() -> new Heard.Other<>());
    }

    private static Heard<ViscaReply> packet(IpPacket packet) {
        Octets payload = packet.payload();
        if (packet.type() == IpPacket.Type.CONTROL_REPLY) {
            return payload.equals(IpPacket.SEQUENCE_ERROR)
                    ? new Heard.NumberRefused<>(packet.sequence())
                    : payload.equals(IpPacket.MESSAGE_ERROR)
                            ? new Heard.NotReadable<>(packet.sequence())
                            : new Heard.Other<>();
        }
        return packet.type() == IpPacket.Type.REPLY
                ? frame(payload, Optional.of(packet.sequence()))
                : new Heard.Other<>();
    }

    private static Heard<ViscaReply> frame(Octets frame, Optional<Long> sequence) {
        return ViscaReply.decode(frame)
                .toOptional()
                .<Heard<ViscaReply>>map(r -> new Heard.Reply<>(r, sequence))
                .orElseGet(Heard.Other::new);
    }

    /**
     * A command is settled by its acknowledgement alone: a completion may belong to the command
     * before it. An inquiry is settled by an answer of its own shape.
     */
    @Override
    public boolean settles(ViscaRequest request, ViscaReply reply) {
        if (reply instanceof ViscaReply.Refused) {
            return true;
        }
        return request.inquiry()
                ? reply instanceof ViscaReply.Answer answer && request.answeredBy(answer)
                : reply instanceof ViscaReply.Ack;
    }

    /** It is tried again: a device with both sockets in use has room in a moment. */
    @Override
    public boolean busy(ViscaReply reply) {
        return reply instanceof ViscaReply.Refused it && it.error() == ViscaError.BUFFER_FULL;
    }

    @Override
    public boolean asks(ViscaRequest request) {
        return request.inquiry();
    }

    @Override
    public ViscaReply received() {
        return new ViscaReply.Ack(0);
    }

    /** A stop is never given up. */
    @Override
    public int tries(ViscaRequest request) {
        return stops(request) ? Integer.MAX_VALUE : TRIES;
    }

    @Override
    public int millisToResend(ViscaRequest request, int sent) {
        return extraMillis
                + (stops(request) && sent < QUICK_STOPS ? STOP_TIMEOUT_MILLIS : TIMEOUT_MILLIS);
    }

    @Override
    public String words(ViscaRequest request) {
        return ViscaWords.of(request);
    }

    @Override
    public String words(Octets datagram) {
        return form == Form.RAW
                ? ViscaWords.of(datagram)
                : IpPacket.decode(datagram)
                        .toOptional()
                        .map(ViscaDialect::words)
                        .orElse(ViscaWords.NOT_UNDERSTOOD);
    }

    private static String words(IpPacket packet) {
        return packet.type() == IpPacket.Type.CONTROL_REPLY
                ? ViscaWords.ofControlReply(packet.payload())
                : ViscaWords.of(packet.payload());
    }

    @Override
    public String words(ViscaRequest request, Octets datagram) {
        return read(datagram) instanceof Heard.Reply<ViscaReply> it
                        && it.reply() instanceof ViscaReply.Answer answer
                ? ViscaWords.of(request, answer).orElseGet(() -> words(datagram))
                : words(datagram);
    }
}
