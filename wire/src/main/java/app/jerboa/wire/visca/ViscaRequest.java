package app.jerboa.wire.visca;

import app.jerboa.wire.octets.Decoded;
import app.jerboa.wire.octets.Octets;
import java.util.List;
import java.util.OptionalInt;

/** What a controller sends to a camera: commands that change something, and inquiries. */
public sealed interface ViscaRequest {
    int PAN_STEPS = 24;
    int TILT_STEPS = 20;

    /** 8 speeds each way, counted 1 to 8; the wire counts them 0 to 7. */
    int ZOOM_STEPS = 8;

    <R> R match(Cases<R> cases);

    /** One case a message. */
    interface Cases<R> {
        R drive(Drive it);

        R zoom(Zoom it);

        R home(Home it);

        R clear(Clear it);

        R askVersion(AskVersion it);

        R askPanTilt(AskPanTilt it);

        R askZoom(AskZoom it);

        R sent(Sent it);

        R raw(Raw it);
    }

    /** Octets between the address and the end mark. */
    Octets body();

    /** It asks and changes nothing. */
    default boolean inquiry() {
        return body().at(0) == 0x09;
    }

    /** The answer has the shape that this inquiry asks for. */
    default boolean answeredBy(ViscaReply.Answer answer) {
        return false;
    }

    /**
     * The whole frame.
     *
     * @param camera 1 to 7, or 8 for all
     */
    default Octets encode(int camera) {
        return body().between(ViscaRequests.start(camera), ViscaFramer.END);
    }

    /** Reads one whole frame from a controller. */
    static Decoded<Addressed> decode(Octets frame) {
        return ViscaRequests.decode(frame);
    }

    /** A request and the address it is for. */
    record Addressed(int camera, ViscaRequest request) {}

    /**
     * Pan-tilt drive; both zero is the stop.
     *
     * @param pan -24 (left, fast) to 24
     * @param tilt -20 (down, fast) to 20
     */
    record Drive(int pan, int tilt) implements ViscaRequest {
        public static final Drive STOP = new Drive(0, 0);

        public Drive {
            ViscaRequests.insist("pan", pan, PAN_STEPS);
            ViscaRequests.insist("tilt", tilt, TILT_STEPS);
        }

        public boolean stops() {
            return pan == 0 && tilt == 0;
        }

        /** Seven octets: 01 06 01, both speeds, both directions. */
        private long packed() {
            return 0x01_06_01L << 32
                    | (long) Math.max(1, Math.abs(pan)) << 24
                    | Math.max(1, Math.abs(tilt)) << 16
                    | (pan < 0 ? 1 : pan > 0 ? 2 : 3) << 8
                    | (tilt > 0 ? 1 : tilt < 0 ? 2 : 3);
        }

        @Override
        public Octets body() {
            return Octets.packed(packed(), 7);
        }

        @Override
        public Octets encode(int camera) {
            return Octets.packedBetween(ViscaRequests.start(camera), packed(), 7, ViscaFramer.END);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.drive(this);
        }
    }

    /**
     * Zoom at a speed; zero is the stop.
     *
     * @param speed -8 (wide, fast) to 8 (tele, fast)
     */
    record Zoom(int speed) implements ViscaRequest {
        public static final Zoom STOP = new Zoom(0);

        public Zoom {
            ViscaRequests.insist("zoom", speed, ZOOM_STEPS);
        }

        @Override
        public Octets body() {
            int p = speed == 0 ? 0 : speed > 0 ? 0x20 | (speed - 1) : 0x30 | (-speed - 1);
            return Octets.of(0x01, 0x04, 0x07, p);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.zoom(this);
        }
    }

    /** Back to the middle of pan and tilt. */
    record Home() implements ViscaRequest {
        @Override
        public Octets body() {
            return Octets.of(0x01, 0x06, 0x04);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.home(this);
        }
    }

    /** Empties the camera's command buffers. */
    record Clear() implements ViscaRequest {
        @Override
        public Octets body() {
            return Octets.of(0x01, 0x00, 0x01);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.clear(this);
        }
    }

    /** Asks for the version. */
    record AskVersion() implements ViscaRequest {
        @Override
        public boolean answeredBy(ViscaReply.Answer answer) {
            return answer.payload().size() == 7;
        }

        @Override
        public Octets body() {
            return Octets.of(0x09, 0x00, 0x02);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.askVersion(this);
        }
    }

    /** Where do you point? */
    record AskPanTilt() implements ViscaRequest {
        @Override
        public boolean answeredBy(ViscaReply.Answer answer) {
            return PanTilt.fits(answer.payload());
        }

        @Override
        public Octets body() {
            return Octets.of(0x09, 0x06, 0x12);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.askPanTilt(this);
        }
    }

    /**
     * Any message of the table.
     *
     * @param values in the order of the message's places
     */
    record Sent(ViscaMessage message, List<Integer> values) implements ViscaRequest {
        /**
         * @throws IllegalArgumentException for another number of values, or one out of its range
         */
        public Sent {
            values = List.copyOf(values);
            message.body(values);
        }

        public static Sent of(ViscaMessage message, Integer... values) {
            return new Sent(message, List.of(values));
        }

        @Override
        public boolean answeredBy(ViscaReply.Answer answer) {
            return message.answer() != ViscaMessage.Answer.NONE
                    && answer.payload().size() == message.answer().size();
        }

        @Override
        public Octets body() {
            return message.body(values);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.sent(this);
        }
    }

    /** How far are you zoomed in? */
    record AskZoom() implements ViscaRequest {
        @Override
        public boolean answeredBy(ViscaReply.Answer answer) {
            return answer.payload().size() == 4;
        }

        @Override
        public Octets body() {
            return Octets.of(0x09, 0x04, 0x47);
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.askZoom(this);
        }
    }

    /**
     * Octets that a person typed, or that a profile states.
     *
     * @param body between the address and the end mark, 1 to 14 octets without an end mark
     * @param answerOctets of the payload of its answer; empty where any answer will do
     * @param stops it brings an axis to rest: it is never given up
     */
    record Raw(Octets body, OptionalInt answerOctets, boolean stops) implements ViscaRequest {
        public Raw(Octets body) {
            this(body, OptionalInt.empty());
        }

        public Raw(Octets body, OptionalInt answerOctets) {
            this(body, answerOctets, false);
        }

        public Raw {
            if (body.size() < 1 || body.size() > ViscaFramer.LONGEST - 2) {
                throw new IllegalArgumentException(
                        "a frame has 1 to 14 octets between address and end mark");
            }
        }

        @Override
        public boolean answeredBy(ViscaReply.Answer answer) {
            return answerOctets.isEmpty() || answerOctets.getAsInt() == answer.payload().size();
        }

        @Override
        public <R> R match(Cases<R> cases) {
            return cases.raw(this);
        }
    }
}
